export { pollOnce, startPolling } from './poll';
export {
  ControllerError,
  httpDriver,
  type ControllerReading,
  type ControllerState,
  type KilnDriver,
} from './driver';
