import { restore } from '../backup/restore';

// For the test of a restore that is killed: says when it begins, and restores.
const [backups = '', name = '', data = '', at = ''] = process.argv.slice(2);
process.stdout.write('begins\n');
await restore(backups, name, data, at);
process.stdout.write('done\n');
