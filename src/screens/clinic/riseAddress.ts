import { aboutText } from '@/records/about';
import type { Series } from '@/records/watch';
import { addressOf } from './address';

/** Where the reasons for a rise are asked for. */
export function riseAddress({ defect, about }: Series): string {
  return addressOf({ path: `/clinic/${defect}`, about: aboutText(about) });
}
