export { isLate } from './model/progress';
export { Progress } from './ui/RoundsView';
