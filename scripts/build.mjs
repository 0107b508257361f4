// `npm run build`: the app and its workers, unless they are built of these very files.
import { build } from './lib.mjs';

process.exit(build());
