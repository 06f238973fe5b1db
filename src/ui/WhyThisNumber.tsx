import Link from 'next/link';

/** Leads from a count to the rules by which it was counted. */
export function WhyThisNumber() {
  return (
    <Link href="/evidence" className="small" title="What counts as a proof, and what stands apart">
      Why this number?
    </Link>
  );
}
