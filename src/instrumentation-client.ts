import { z } from 'zod';

// Schemas would try to compile themselves, which the pages' policy refuses. This file runs before all others.
z.config({ jitless: true });
