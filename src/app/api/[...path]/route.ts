import { dispatch } from '@/server/endpoints/dispatch';
import { handlers } from '@/server/endpoints/handlers';

/** Every address under /api, by the table of endpoints. */
const answer = dispatch(handlers);

export { answer as GET, answer as POST, answer as PUT, answer as PATCH, answer as DELETE };
