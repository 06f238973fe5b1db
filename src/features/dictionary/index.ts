export { takeWishBack } from './actions';
export { nearWords } from './model/findQuery';
export { AskFor } from './ui/AskFor';
