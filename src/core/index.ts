/**
 * The version of the core's measures. Raised whenever a reading of the same pixels can come out
 * differently, so that stored readings are known to be old.
 */
export const CORE_VERSION = 9;
