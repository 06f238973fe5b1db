import { notFound } from 'next/navigation';
import { NotThere } from '@/records/platform';

/** Waits for a record; one that is not there becomes the page that says so. */
export async function orNotFound<T>(record: Promise<T>): Promise<T> {
  try {
    return await record;
  } catch (error) {
    if (error instanceof NotThere) notFound();
    throw error;
  }
}
