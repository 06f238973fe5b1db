import { DEFECTS, type Defect } from '@/core/evidence';

/** The two defects it is most easily taken for. */
export function likes(defect: Defect): Defect[] {
  const CONFUSED: Readonly<Partial<Record<Defect['id'], readonly Defect['id'][]>>> = {
    pinholing: ['pitting', 'blistering'],
    pitting: ['pinholing', 'blistering'],
    blistering: ['pitting', 'bloating'],
    bloating: ['blistering', 'pop-out'],
    crazing: ['dunting', 'shivering'],
    shivering: ['slip-lifting', 'crazing'],
    dunting: ['crazing', 'body-crack'],
    crawling: ['patchy', 'raw-flaking'],
    'slip-lifting': ['shivering', 'crawling'],
  };
  const named = CONFUSED[defect.id]?.map((id) => DEFECTS.find((one) => one.id === id)!);
  return named ?? DEFECTS.filter((one) => one.group === defect.group && one !== defect).slice(0, 2);
}
