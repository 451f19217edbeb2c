/** What the access log tells, each in words. */
export const ACCESS_EVENTS = {
  'signed-in': 'Signed in',
  'sign-in-failed': 'Failed to sign in',
  'signed-out': 'Signed out',
  'access-confirmed': 'Showed the password again',
  'account-opened': 'Made an account',
  'account-closed': 'Closed an account',
  'account-reopened': 'Reopened an account',
  'role-changed': 'Changed a role',
  'mail-changed': 'Changed an email address',
  'password-set': 'Set a password',
  'password-link': 'Made a link to set a password',
  'passkey-added': 'Added a passkey',
  'passkey-ended': 'Removed a passkey',
  'calendar-made': 'Made a calendar address',
  'calendar-ended': 'Removed a calendar address',
  'session-ended': 'Signed out a device',
  'access-ended': 'Signed somebody out everywhere',
  'job-exported': 'Exported a job',
  'link-made': 'Made a link to a report',
  'link-opened': 'Opened a link to a report',
  'link-closed': 'Closed a link to a report',
  'data-restored': 'Restored a backup',
} as const;

export type AccessEvent = keyof typeof ACCESS_EVENTS;
