import { setNonce } from 'get-nonce';
import { z } from 'zod';

// This file runs before all others.
// Schemas would try to compile themselves, which the pages' policy refuses.
z.config({ jitless: true });
// What dialogs write of styles passes that policy by the nonce of the page's own scripts.
setNonce(document.querySelector<HTMLScriptElement>('script[nonce]')?.nonce ?? '');
