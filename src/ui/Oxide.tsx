/** The unit of expansion: millionths a kelvin. */
export function PerKelvin() {
  return (
    <span style={{ whiteSpace: 'nowrap' }}>
      × 10<sup style={{ fontSize: '0.72em', lineHeight: 0 }}>−6</sup>/K
    </span>
  );
}

/** An oxide's formula with its figures set low. */
export function OxideName({ oxide }: { oxide: string }) {
  return <span>{oxide.split(/(\d+)/).map((part, i) => (i % 2 ? <sub key={i}>{part}</sub> : part))}</span>;
}
