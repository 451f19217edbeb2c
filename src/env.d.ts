/// <reference types="astro/client" />

declare namespace App {
  interface Locals {
    /** What services are called with: who asks, of what, and when. */
    call: import('./server/services/service').ServiceCall;
    /** Who is signed in; `null` where Chert has no people, or nobody is. For what pages show: services ask the call. */
    who: import('./server/people/sessions').SignedIn | null;
    /** Daylight or Crawlspace, from the cookie; `null` follows the device. */
    light: 'daylight' | 'crawlspace' | null;
  }
}
