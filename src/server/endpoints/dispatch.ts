import { matchPath, type Endpoint } from '@/contracts/endpoints/endpoint';
import { endpoints, type EndpointName } from '@/contracts/endpoints/endpoints';
import { notFound, ServiceError } from '../errors';
import { answering } from '../respond';
import { answerEndpoint, type Handler, type Handlers } from './handler';

/** Addresses without parameters first, so that a fixed name is not taken for an id. */
const NAMES = (Object.keys(endpoints) as EndpointName[]).sort(
  (one, other) => parameters(endpoints[one]) - parameters(endpoints[other]),
);

function parameters({ path }: Endpoint): number {
  return path.split(':').length;
}

/** Answers a request by the endpoint whose method and path it has. */
export function dispatch(handlers: Handlers): (request: Request) => Promise<Response> {
  return answering(async (request) => {
    const segments = segmentsOf(new URL(request.url).pathname);
    const method = request.method === 'HEAD' ? 'GET' : request.method;
    let isElsewhere = false;
    for (const name of NAMES) {
      const params = matchPath(endpoints[name], segments);
      if (!params) continue;
      if (endpoints[name].method === method)
        return answerEndpoint<Endpoint>(
          endpoints[name],
          handlers[name] as unknown as Handler<Endpoint>,
          request,
          params,
        );
      isElsewhere = true;
    }
    if (isElsewhere)
      throw new ServiceError('method', `${request.method} is not answered at this address.`, 405);
    throw notFound('page');
  });
}

function segmentsOf(pathname: string): string[] {
  try {
    return pathname.split('/').slice(1).map(decodeURIComponent);
  } catch {
    // A percent sign that begins nothing.
    throw notFound('page');
  }
}
