export { calendarFile, type CalendarFile } from './calendarFile';
