export { Frame } from './Frame';
export { GuideWords } from './GuideWords';
export { useBench, type Held } from './BenchContext';
