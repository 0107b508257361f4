import { isIP } from 'node:net';
import { hostname } from 'node:os';
import { ServiceError } from './errors';

/**
 * Whether a Host header names this server: an address, `localhost`, the machine's own name, or one of PRISM_HOSTS
 * (commas between). A page of another site can point any name at 127.0.0.1 (DNS rebinding), but not an address.
 */
export function isOwnHost(host: string | null): boolean {
  const name = hostNameOf(host);
  if (name === null) return false;
  if (isIP(name.replace(/^\[|\]$/g, '')) > 0) return true;
  const machine = hostname().toLowerCase();
  const more = (process.env.PRISM_HOSTS ?? '').toLowerCase().split(',');
  return ['localhost', machine, `${machine}.local`, ...more.map((one) => one.trim())]
    .filter(Boolean)
    .includes(name);
}

/** The name in a Host header, without its port; null where it is none. */
function hostNameOf(host: string | null): string | null {
  if (host === null || /[/?#@\\]/.test(host)) return null;
  return parsedUrl(`http://${host}`)?.hostname ?? null;
}

function parsedUrl(text: string): URL | null {
  return URL.canParse(text) ? new URL(text) : null;
}

export const WRONG_HOST =
  'This server is not known under that name. Open it by its address, such as 127.0.0.1, or list the name in PRISM_HOSTS.';

const stranger = () =>
  new ServiceError(
    'stranger',
    'Another site tried to reach what is kept here. Nothing was changed and nothing was handed out.',
    403,
  );

/** Throws where a request comes under another name or from a page of another site. */
export function requireOwnSite(headers: Headers): void {
  if (!isOwnHost(headers.get('host'))) throw new ServiceError('wrong-host', WRONG_HOST, 421);
  const site = headers.get('sec-fetch-site');
  if (site !== null && site !== 'same-origin' && site !== 'none') throw stranger();
  const origin = headers.get('origin');
  if (origin !== null && parsedUrl(origin)?.host !== headers.get('host')) throw stranger();
}
