/**
 * The style element that the package of notices (sonner) writes where it is loaded, as sources of a
 * Content-Security-Policy: empty, as it is put into the page, and with its text. It takes no nonce; a new version of it has
 * another hash, which a test says.
 */
export const NOTICES_STYLE = [
  'sha256-47DEQpj8HBSa+/TImW+5JCeuQeRkm5NMpJWZG3hSuFU=',
  'sha256-StEaX+se6YS7pqjzrzMIA0KaX9zF/8zAhvQXZAe5epY=',
] as const;
