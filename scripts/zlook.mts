import { writeFileSync } from 'node:fs';
import { Browser } from '../e2e/support/browser';
import { serveBuild } from '../e2e/support/serveBuild';
console.log(Object.getOwnPropertyNames(Browser.prototype).join(' '));
