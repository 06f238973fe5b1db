import { refuseReader } from '@/auth';
import { db } from '@/records/platform';
import { printFor } from '@/features/shared/server/printFor';
import { idSchema } from '@/features/shared/schema';
import { writeDictionary } from '@/features/dictionary/server/dictionaryPdf';
import { beginPrint, printJob, stopPrint } from '@/features/dictionary/server/jobs';

type Asked = { params: Promise<{ id: string }> };

/** The id of a print when a member asks; an answer that refuses otherwise. */
async function idOf({ params }: Asked): Promise<string | Response> {
  const refused = await refuseReader('dictionary/[id]');
  if (refused) return refused;
  const id = idSchema.safeParse((await params).id);
  return id.success ? id.data : new Response('id: is not an id', { status: 400 });
}

/** Begins to write the dictionary; the same id again is the same print. */
export async function PUT(_: Request, asked: Asked): Promise<Response> {
  const id = await idOf(asked);
  if (id instanceof Response) return id;
  const asker = await printFor();
  await beginPrint(id, (sink, onDone, signal) =>
    writeDictionary(db(), sink, new Date(), onDone, signal, asker),
  );
  return Response.json(await printJob(id), { status: 202 });
}

/** How far it is. */
export async function GET(_: Request, asked: Asked): Promise<Response> {
  const id = await idOf(asked);
  if (id instanceof Response) return id;
  const job = await printJob(id);
  return job ? Response.json(job) : new Response('There is no such print.', { status: 404 });
}

/** Stops it. */
export async function DELETE(_: Request, asked: Asked): Promise<Response> {
  const id = await idOf(asked);
  if (id instanceof Response) return id;
  await stopPrint(id);
  return new Response(null, { status: 204 });
}
