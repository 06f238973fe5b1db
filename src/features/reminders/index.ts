export { NextTime } from './ui/NextTime';
