export { openKiln, saveFiringPlan } from './actions';
export { wayOut } from './model/cautions';
export { CoolingWords } from './ui/CoolingWords';
export { FiringForm, firstPlan } from './ui/FiringForm';
export { PastFiringForm } from './ui/PastFiringForm';
export { FiringTable } from './ui/FiringTable';
export { LogChart } from './ui/LazyLogChart';
export type { ChartLog } from './ui/LogChart';
export { WitnessPack } from './ui/WitnessPack';
