import { readFileSync, writeFileSync } from 'node:fs';
import { sayFault } from '#core/base/fault';
import { checkInspection, writeInspectionFile } from '#core/interchange/inspection-file';
import { asInspection } from '#core/speech/hear/as-inspection';
import { hear } from '#core/speech/hear/hear';

const USAGE = 'usage: npm run -s hear -- FILE.vtt|srt|txt [--job FILE.chert.json]';
const BAD_FILE = 2;

function stop(message: string): never {
  process.stderr.write(`${message}\n`);
  return process.exit(BAD_FILE);
}

function read(path: string): string {
  try {
    return readFileSync(path === '-' ? 0 : path, 'utf8');
  } catch (error) {
    return stop(`${path}: ${error instanceof Error ? error.message : 'cannot be read'}`);
  }
}

const [path, flag, jobFile] = process.argv.slice(2);
if (path === undefined || (flag !== undefined && (flag !== '--job' || jobFile === undefined)))
  stop(USAGE);
const heard = hear(read(path));
process.stdout.write(`${JSON.stringify(heard, null, 2)}\n`);
if (jobFile !== undefined) {
  const checked = checkInspection(asInspection(heard, new Date().toISOString()));
  if (!checked.ok) stop(checked.faults.map(sayFault).join('\n'));
  writeFileSync(jobFile, writeInspectionFile(checked.value));
}
