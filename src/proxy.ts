import { NextResponse, type NextRequest } from 'next/server';
import { isOwnHost, WRONG_HOST } from './server/access';
import { NOTICES_STYLE } from './server/inline-styles';

/**
 * What pages may load: their own scripts and styles by a nonce, and nothing of another site. Style attributes, which
 * can't carry one, are the pages' own: what people write is never markup.
 */
function policyFor(nonce: string): string {
  const isDevelopment = process.env.NODE_ENV === 'development';
  return [
    "default-src 'none'",
    `script-src 'self' 'nonce-${nonce}'${isDevelopment ? " 'unsafe-eval'" : ''}`,
    isDevelopment
      ? "style-src 'self' 'unsafe-inline'"
      : `style-src 'self' 'nonce-${nonce}' ${NOTICES_STYLE.map((hash) => `'${hash}'`).join(' ')}`,
    "style-src-attr 'unsafe-inline'",
    "img-src 'self' blob: data:",
    "font-src 'self'",
    "connect-src 'self' blob:",
    "worker-src 'self'",
    "frame-src 'self'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join('; ');
}

/** Next.js itself answers addresses with half an escape with an error of the server. */
function isDecodable(path: string): boolean {
  try {
    decodeURIComponent(path);
    return true;
  } catch {
    return false;
  }
}

/** Comes before every page and file; the API's requests are checked where they are answered. */
export function proxy(request: NextRequest): NextResponse {
  if (!isOwnHost(request.headers.get('host'))) return new NextResponse(WRONG_HOST, { status: 421 });
  if (!isDecodable(request.nextUrl.pathname))
    return new NextResponse('There is nothing at this address.', { status: 404 });
  const policy = policyFor(btoa(crypto.randomUUID()));
  const headers = new Headers(request.headers);
  // Next.js reads the nonce for its own scripts from here.
  headers.set('content-security-policy', policy);
  const response = NextResponse.next({ request: { headers } });
  response.headers.set('content-security-policy', policy);
  return response;
}

// A body that passes through here is cut at 10 MB; uploads go to the API. Of its addresses, whose parameters are all
// ASCII, only those come here that may not be decodable.
export const config = { matcher: ['/((?!api/).*)', '/(api/.*%(?![0-7][0-9a-fA-F]).*)'] };
