import { createInterface } from 'node:readline';
import { answerCallout, type CalloutRequest } from '#core/speech/callout-door';

/** Reads a line of JSON for each thing said, and prints a line of JSON with what it says. */
for await (const line of createInterface({ input: process.stdin })) {
  if (line.trim() === '') continue;
  let request: CalloutRequest;
  try {
    request = JSON.parse(line) as CalloutRequest;
  } catch {
    console.log(
      JSON.stringify({ error: 'expected a line of JSON such as {"say": "roots 57 60%"}' }),
    );
    process.exitCode = 1;
    continue;
  }
  if (typeof request.say !== 'string') {
    console.log(JSON.stringify({ error: 'say: expected the words that were said' }));
    process.exitCode = 1;
    continue;
  }
  console.log(JSON.stringify(answerCallout(request)));
}
