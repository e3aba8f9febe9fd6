export { sessionSchema, type Session } from './session';
