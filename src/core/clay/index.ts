export { firedLength, shrinkageOf, wetLength } from './shrink';
