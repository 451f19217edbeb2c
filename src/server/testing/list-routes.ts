import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

const PAGES = 'src/pages';
/** Answered before anybody is asked who they are, only while there is nobody. */
const BEFORE = new Set(['/owner']);
/** What is there to answer with, and never asked for by itself. */
const NO_ADDRESS = new Set(['/404', '/500', '/api/[...path]']);

/** Every address that Chert has with its methods, from the files that answer them: none can be forgotten. */
export const listRoutes = (): (readonly [method: string, path: string])[] =>
  readdirSync(PAGES, { recursive: true, encoding: 'utf8' })
    .filter((file) => /\.(astro|ts)$/.test(file))
    .flatMap((file): (readonly [string, string])[] => {
      const text = readFileSync(join(PAGES, file), 'utf8');
      const path = `/${file.replace(/\.(astro|ts)$/, '').replace(/(^|\/)index$/, '')}`;
      if (NO_ADDRESS.has(path) || BEFORE.has(path)) return [];
      const said = [...text.matchAll(/export const (GET|POST|PUT|PATCH|DELETE)\b/g)].map(
        ([, method]) => method!,
      );
      const ofPage = /request\.method === 'POST'/.test(text) ? ['GET', 'POST'] : ['GET'];
      return (file.endsWith('.astro') ? ofPage : said).map((method) => [method, path] as const);
    });
