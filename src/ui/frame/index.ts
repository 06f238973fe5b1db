export { Frame } from './Frame';
export { GuideWords } from './GuideWords';
export { isSame, useBench, type Held } from './BenchContext';
