export { collectOnce, keepCollecting } from './collect';
export {
  ControllerFault,
  httpDriver,
  type ControllerReading,
  type ControllerState,
  type KilnDriver,
} from './driver';
