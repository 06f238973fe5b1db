export { packed, unpacked } from './packed';
