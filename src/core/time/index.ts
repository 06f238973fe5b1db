export {
  DATE_STYLES,
  type DateStyle,
  dayOf,
  isZone,
  setStudioClock,
  type StudioClock,
  studioClock,
  studioTime,
} from './studioClock';
export { ageWords, dayWords, shortDay, wordsOf } from './words';
