import { caseSubjectKey } from '@/core/clinic';
import { type Series } from '@/records/clinic';
import { addressOf } from './address';

/** Where the reasons for a rise are asked for. */
export function riseHref({ defect, about }: Series): string {
  return addressOf({ path: `/clinic/${defect}`, about: caseSubjectKey(about) });
}
