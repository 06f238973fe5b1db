export { guessFrame, type Frame, type Pixels } from './frame';
export { zoneBox, meanColour, type Box } from './region';
