/**
 * The version of the content that this build goes with. A version is immutable once a walk has used it: any change of content
 * gets a new one, so that old reports keep what was asked.
 */
export const CATALOGUE_VERSION = '2026.11.13';
