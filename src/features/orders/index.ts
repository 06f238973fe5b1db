export { OrderLines } from './ui/OrderLines';
