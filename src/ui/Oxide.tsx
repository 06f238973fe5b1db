/** An oxide's formula with its figures set low. */
export function OxideName({ oxide }: { oxide: string }) {
  return <span>{oxide.split(/(\d+)/).map((part, i) => (i % 2 ? <sub key={i}>{part}</sub> : part))}</span>;
}
