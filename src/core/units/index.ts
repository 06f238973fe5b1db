export { joined, type Message, sayMessage, text } from './message';
export {
  celsius,
  type Dimension,
  grams,
  kelvins,
  lengthOf,
  METRIC,
  millimetres,
  perHour,
  type Quantity,
  sayQuantity,
  shownDigits,
  shownValue,
  signed,
  typedValue,
  unitOf,
  type Units,
} from './quantity';
