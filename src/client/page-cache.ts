/** The cache of pages that can be opened without the server. The service worker reads it too. */
export const PAGES = 'chert-pages';
/** The cache of stills. */
export const MEDIA = 'chert-media';
