import { splitClauses } from '#core/speech/clauses';
import { parseCallout } from '#core/speech/parse';
import { readTerms } from '#core/speech/sheet';
for (const say of process.argv.slice(2)) {
  const t = readTerms(say);
  console.log(
    splitClauses(t).map((c) =>
      c
        .map(
          (x) =>
            x.text +
            ':' +
            Object.entries(x.senses).map(([a, b]) => (a === b ? a : a + '=' + b)) +
            (x.amount ? JSON.stringify(x.amount.value) + (x.amount.unit ?? '') : ''),
        )
        .join(' | '),
    ),
  );
  console.log(
    JSON.stringify(
      parseCallout(say, {
        counterFt: 40,
        pass: 'out',
        boreHereIn: 4,
        standing: [],
        openIds: new Set(),
      }),
    ),
  );
}
