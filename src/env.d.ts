/// <reference types="astro/client" />

declare namespace App {
  interface Locals {
    /** Who asks; `null` where Chert has no people, or nobody is signed in. */
    who: import('./server/people/sessions').SignedIn | null;
    /** Daylight or Crawlspace, from the cookie; `null` follows the device. */
    light: 'daylight' | 'crawlspace' | null;
  }
}
