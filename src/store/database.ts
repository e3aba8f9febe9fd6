/** The browser's database, and where in it stands what this browser shows and how. */
export const DATABASE = 'velvet-rhythm';
export const PREFS_KEY = 'prefs';
export const RECORD_PREFIX = 'record/';
