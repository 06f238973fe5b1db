import { getIronSession, type IronSession, type SessionOptions } from 'iron-session';
import { cookies } from 'next/headers';

interface Sealed {
  /** Id of a row in `session`; the row decides, the cookie only carries it. */
  sessionId?: string;
  /** Who typed the right password and has still to show a code, and since when. */
  pending?: { readonly memberId: string; readonly since: number };
}

/** The cookie that makes this device the studio's, for as long as a browser keeps one. */
interface SealedDevice {
  deviceId?: string;
}

function options(cookieName: string, days: number): SessionOptions {
  const password = process.env.JITEN_SECRET;
  if (!password) throw new Error('JITEN_SECRET is not set. Use npm start or npm run demo, which set it.');
  return {
    cookieName,
    password,
    ttl: days * 86_400,
    cookieOptions: { httpOnly: true, sameSite: 'lax', secure: process.env.JITEN_SECURE === '1', path: '/' },
  };
}

/** The sealed cookie of this request. */
export async function sealedSession(): Promise<IronSession<Sealed>> {
  return getIronSession<Sealed>(await cookies(), options('jiten', 30));
}

/** The sealed cookie of a device of the studio. */
export async function sealedDevice(): Promise<IronSession<SealedDevice>> {
  return getIronSession<SealedDevice>(await cookies(), options('jiten-device', 400));
}
