export { FIRING_KINDS, FIRING_STATES, type FiringKind, type FiringState } from './kinds';
export { CONES, coneIndex, hitTarget, type Cone } from './cones';
