import { notFound } from 'next/navigation';
import { NotFound } from '@/records/platform';

/** Waits for a record; one that is not there becomes the page that says so. */
export async function orNotFound<T>(record: Promise<T>): Promise<T> {
  try {
    return await record;
  } catch (error) {
    if (error instanceof NotFound) notFound();
    throw error;
  }
}
