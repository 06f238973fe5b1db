export { ScanButton } from './ScanButton';
