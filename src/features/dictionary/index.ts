export { withdrawTestRequest } from './actions';
export { nearWords } from './model/findQuery';
export { RequestTest } from './ui/RequestTest';
