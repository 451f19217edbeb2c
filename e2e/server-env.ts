/** The token of servers that tests start. */
export const TOKEN = 'test-test-test-test-test';

/** What every server of a test is told: its token, and that nobody waits for its backups. */
export const SERVER_ENV = { CHERT_TOKEN: TOKEN, CHERT_BACKUPS: 'off' };
