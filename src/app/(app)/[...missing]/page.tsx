import { notFound } from 'next/navigation';

/** Every other address: the house has two root layouts, so that nothing at all is not found by itself. */
export default function Page(): never {
  notFound();
}
