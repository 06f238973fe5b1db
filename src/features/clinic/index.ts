export { riseHref } from './model/riseHref';
