// A painter's hand: one worker thread that turns scenes into pictures.
import { register } from 'tsx/esm/api';

register();
await import('./painter.ts');
