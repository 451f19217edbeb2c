import { stdin, stdout } from 'node:process';
import { createInterface } from 'node:readline/promises';
import { database, dataFolder } from '#server/database';
import { mailTrouble, ownerOf } from '#server/people/make-owner';
import { hashPassword, passwordTrouble } from '#server/people/passwords';

/** Exit code: what was typed cannot be taken. */
const BAD_INPUT = 1;

// npm run owner: makes an owner, or gives the one of that mail address a new password. Whoever runs it has the data
// folder, and with it everything: nothing is asked but what the account needs.
process.umask(0o077);
console.log(`Data: ${dataFolder()}`);
const lines = createInterface({ input: stdin, output: stdout });
const given = lines[Symbol.asyncIterator]() as AsyncIterator<string, undefined>;
async function ask(question: string): Promise<string> {
  stdout.write(question);
  const { value } = await given.next();
  return (value ?? '').trim();
}
const name = await ask('Name: ');
const mail = await ask('Email address: ');
const password = await ask('Password, shown as you type: ');
lines.close();
const trouble =
  (name === '' ? 'Enter a name: it is shown beside what they do.' : null) ??
  mailTrouble(mail) ??
  passwordTrouble(password, mail);
if (trouble !== null) {
  console.error(`${trouble} Nothing was changed.`);
  process.exit(BAD_INPUT);
}
ownerOf(database(), { name, mail, hash: await hashPassword(password) });
database().close();
console.log(`${name} is an owner, and signs in as ${mail}.`);
