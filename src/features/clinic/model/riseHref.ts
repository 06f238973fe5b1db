import { caseSubjectKey } from '@/core/vocabulary';
import { type Series } from '@/records/clinic';
import { addressOf } from './address';

/** Where the reasons for a rise are asked for. */
export function riseHref({ defect, subject: about }: Series): string {
  return addressOf({ path: `/clinic/${defect}`, about: caseSubjectKey(about) });
}
