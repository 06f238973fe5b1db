import { currentMember, studioNow } from '@/auth';
import { isFeedToken, queueOf } from '@/records/firings';
import { db } from '@/records/platform';
import { calendarFile } from '@/features/kilns/model/calendarFile';

/** The coming firings for a calendar program: to members, or to whoever has the feed's address (`token`). */
export async function GET(request: Request): Promise<Response> {
  const token = new URL(request.url).searchParams.get('token');
  const allowed = token ? await isFeedToken(db(), token) : Boolean(await currentMember());
  if (!allowed) return new Response('This address is not, or no longer, the calendar feed.', { status: 401 });
  await studioNow();
  const now = new Date();
  const { booked } = await queueOf(db(), now);
  return new Response(calendarFile(booked, now), {
    headers: {
      'Content-Type': 'text/calendar; charset=utf-8',
      'Content-Disposition': 'inline; filename="kilns.ics"',
    },
  });
}
