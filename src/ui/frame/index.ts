export { AppFrame } from './AppFrame';
export { GuideWords } from './GuideWords';
export { isSame, useBench, type BenchItem } from './BenchContext';
