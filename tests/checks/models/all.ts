import { bodyLimitRows } from './bodyLimit';
import { colourRows } from './colours';
import { coneRows } from './cones';
import { coolingRows } from './cooling';
import { driftRows } from './drift';
import { experimentRows } from './experiments';
import type { Row, Size } from './row';
import { watchRows } from './watch';

/** Every model with what it is tried on. */
export const MODELS: Readonly<Record<string, (size: Size) => Row[]>> = {
  'cone equivalent': coneRows,
  'time to open': coolingRows,
  'offset of a thermocouple': driftRows,
  'defects going up': watchRows,
  'natural experiments': experimentRows,
  'a body’s learned limit': bodyLimitRows,
  'colour of a zone': colourRows,
};
