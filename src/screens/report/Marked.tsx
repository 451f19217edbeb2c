import { Fragment } from 'react';
import type { FirstUse } from '#core/report/terms';
import styles from './ReportPage.module.css';

/** The place of a word's meaning on the page. */
export const idOfWord = (word: string) => `word-${word.toLowerCase().replace(/[^a-z]+/g, '-')}`;

type Props = { readonly text: string; readonly uses: readonly FirstUse[] };

/** A sentence in which each word that is explained leads to its meaning where it is first used. */
export function Marked({ text, uses }: Props) {
  const [use, ...others] = uses.filter((one) => one.text === text && text.includes(one.match));
  if (!use) return text;
  const at = text.indexOf(use.match);
  const rest = (part: string) => others.map((one) => ({ ...one, text: part }));
  const [before, after] = [text.slice(0, at), text.slice(at + use.match.length)];
  return (
    <Fragment>
      <Marked text={before} uses={rest(before)} />
      <a className={styles['term']} href={`#${idOfWord(use.word)}`}>
        {use.match}
      </a>
      <Marked text={after} uses={rest(after)} />
    </Fragment>
  );
}

/** Sentences one after the other, their words marked. */
export function Sentences({
  texts,
  uses,
}: { readonly texts: readonly string[] } & Pick<Props, 'uses'>) {
  return texts.map((text, index) => (
    <Fragment key={index}>
      {index > 0 && ' '}
      <Marked text={text} uses={uses} />
    </Fragment>
  ));
}
