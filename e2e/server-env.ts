/** The token of servers that tests start. */
export const TOKEN = 'test-test-test-test-test';

/** What every server of a test is told: its token, and that nobody waits for its backups. */
export const SERVER_ENV = { CHERT_TOKEN: TOKEN, CHERT_BACKUPS: 'off' };

/** The servers of the workers, and above them those that a single test kills and starts again. */
const FIRST_PORT = 4871;
export const portOf = (worker: number) => FIRST_PORT + worker;
export const OWN_PORT = {
  nothingLost: 4881,
  acknowledged: 4882,
  firm: 4883,
  people: 4885,
  office: 4886,
  access: 4887,
  custody: 4888,
};
