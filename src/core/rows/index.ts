export { packed, unpacked } from './packed';
export { groupedBy } from './grouped';
