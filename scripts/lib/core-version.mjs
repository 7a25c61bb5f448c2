import { hashOf } from './hash.mjs';

/** Names the core by its content. */
export const coreVersion = () => hashOf(['src/core']).slice(0, 16);
