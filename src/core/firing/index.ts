export { CONES, coneIndex, hitTarget, type Cone } from './cones';
