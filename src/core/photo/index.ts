export { guessFrame, type Frame, type Pixels } from './frame';
export { zoneBox, zoneBracket, type Box, type ZonePlace } from './region';
export { cutOut, endsOf, frameFrom, uprightCrop, WHOLE, type Point } from './upright';
export { besideGlare } from './glare';
export { areaPatch, closePatch, guessView, isRound, ringOf, sidesIn, zonePatch } from './view';
export { highlightMask } from './highlight';
export { greyGains, withGains, type Gains } from './light';
export { measureZone, type Shade, type ZoneColour } from './palette';
export { findCracks, findPits, type Cracks, type Pit } from './marks';
