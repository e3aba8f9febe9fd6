export { sessionSchema, type Session } from './session';
export { firstUses, firstUsesTogether, type FirstUse } from './firstUses';
