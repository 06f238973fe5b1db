export {
  MEASURE_KINDS,
  type Measure,
  type MeasureKind,
  readMeasure,
  type ReadMeasure,
  UNIT_SYSTEMS,
  type UnitSystem,
} from './measure';
export { joined, type Message, sayMessage, text } from './message';
export { readNumber, type ReadNumber } from './number';
export {
  celsius,
  type Dimension,
  grams,
  keptValue,
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
