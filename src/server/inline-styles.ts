/**
 * The style element that the package of notices (sonner) writes where it is loaded, as a source of a
 * Content-Security-Policy. It takes no nonce; a new version of it has another hash, which a test says.
 */
export const NOTICES_STYLE = 'sha256-StEaX+se6YS7pqjzrzMIA0KaX9zF/8zAhvQXZAe5epY=';
