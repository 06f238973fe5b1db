export { UseVersion } from './ui/UseVersion';
