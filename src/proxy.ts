import { NextResponse, type NextRequest } from 'next/server';

/** Style elements that packages add without a nonce: an empty one, and the rules of the photo zoom. */
const KNOWN_STYLES = [
  "'sha256-47DEQpj8HBSa+/TImW+5JCeuQeRkm5NMpJWZG3hSuFU='",
  "'sha256-/aQdAPrD+kc0v7HnGQTuKBtoP6ZN+lnzOGVJ1Qt6dfw='",
];

/**
 * Sets the content security policy, with a nonce of its own for each answer. Style attributes are allowed
 * (positions and sizes of drawings); style elements and scripts need the nonce.
 */
export function proxy(request: NextRequest): NextResponse {
  const nonce = Buffer.from(crypto.randomUUID()).toString('base64');
  const dev = process.env.NODE_ENV === 'development';
  const policy = [
    "default-src 'self'",
    `script-src 'self' 'nonce-${nonce}' 'strict-dynamic'${dev ? " 'unsafe-eval'" : ''}`,
    `style-src 'self' ${dev ? "'unsafe-inline'" : `'nonce-${nonce}' ${KNOWN_STYLES.join(' ')}`}`,
    "style-src-attr 'unsafe-inline'",
    "img-src 'self' blob: data:",
    "font-src 'self'",
    "worker-src 'self'",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join('; ');
  const headers = new Headers(request.headers);
  headers.set('x-nonce', nonce);
  headers.set('content-security-policy', policy);
  const response = NextResponse.next({ request: { headers } });
  response.headers.set('content-security-policy', policy);
  return response;
}

// Not of the interface for programs: what goes through here is held in memory, and cut at 10 MB.
export const config = { matcher: [{ source: '/((?!_next/static|_next/image|icon.svg|api/).*)' }] };
