/** What the shell shows where no screen has the address; fetched with the others. */
export { UnknownAddress } from './UnknownAddress';
