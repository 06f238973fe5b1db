export { riseAddress } from './model/riseAddress';
