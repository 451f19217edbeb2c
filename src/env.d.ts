/// <reference types="astro/client" />

declare namespace App {
  interface Locals {
    /** Daylight or Crawlspace, from the cookie; `null` follows the device. */
    light: 'daylight' | 'crawlspace' | null;
  }
}
