import { memo, useState } from 'react';
import { type FirmPictures, readFirm } from '#client/actions/firm';
import { sendJson } from '#client/api';
import { troublesOf } from '#client/say-sent';
import { localDay } from '#client/time';
import { CHERT_TEXTS, type Firm, FIRM_TEXT_TITLES, FIRM_TEXTS } from '#core/model/firm/firm';
import { sayLongDay } from '#core/report/calendar';
import { Field, Troubles } from '../shared/Fields';
import { Form } from '../shared/Form';
import type { Typed } from '../shared/form-data';
import form from '../shared/form.module.css';
import { PictureField } from '../shared/PictureField';
import { useReady } from '../shared/useReady';
import styles from './FirmScreen.module.css';
import { StateTexts } from './StateTexts';

type Props = {
  readonly firm: Firm | undefined;
  /** Whether Chert has people: each then signs with what stands on their own account. */
  readonly hasPeople: boolean;
};

/** Who signs the reports: what matters first, the rest when somebody likes. */
export const FirmScreen = memo(function FirmScreen({ firm = {}, hasPeople }: Props) {
  const ready = useReady();
  const [stored, setStored] = useState(firm);
  const [pictures, setPictures] = useState<FirmPictures>({
    logo: firm.logo ?? null,
    signature: firm.signature ?? null,
  });
  const [trouble, setTrouble] = useState<readonly string[]>([]);
  const [isSaved, setSaved] = useState(false);
  const setPicture = (part: keyof FirmPictures) => (url: string | null) => {
    setPictures((now) => ({ ...now, [part]: url }));
    setSaved(false);
  };

  const save = async (typed: Typed) => {
    const wanted = readFirm(typed, pictures, stored, localDay(new Date()));
    const sent = await sendJson('PATCH', '/api/preferences', { firm: wanted });
    setSaved(sent.state === 'ok');
    setTrouble(troublesOf(sent));
    if (sent.state === 'ok') setStored(wanted);
  };

  return (
    <Form className={styles['firm']} onTyped={save} onChange={() => setSaved(false)}>
      <fieldset className={form['whole']} disabled={!ready}>
        <section className={styles['part']} aria-labelledby="who-title">
          <h2 id="who-title">Who signs</h2>
          <p>It stands at the head and foot of every report. What you leave empty is left out.</p>
          <div className={styles['grid']}>
            <Field name="name" label="Firm" value={stored.name} />
            <Field name="inspector" label="Your name" value={stored.inspector} />
            <Field name="license" label="License" value={stored.license} />
            <Field name="phone" label="Phone" value={stored.phone} />
            <Field name="email" label="Email" value={stored.email} />
            <Field name="address" label="Address" value={stored.address} />
          </div>
        </section>
        <section className={styles['part']} aria-labelledby="pictures-title">
          <h2 id="pictures-title">Logo and signature</h2>
          <p>
            License and signature are printed under your name only.
            {hasPeople && ' Each inspector adds their own under “Your account”.'}
          </p>
          <div className={styles['grid']}>
            <PictureField label="Logo" url={pictures.logo} onPicture={setPicture('logo')} />
            <PictureField
              label="Signature"
              url={pictures.signature}
              onPicture={setPicture('signature')}
            />
          </div>
        </section>
        <section className={styles['part']} aria-labelledby="words-title">
          <h2 id="words-title">Standard, limits and terms</h2>
          <p>
            <strong>Have these read by your lawyer.</strong> They are a starting point, not legal
            advice; put in what your state or association asks for. An empty one is not printed.
            {stored.textsOn && ` Yours are of ${sayLongDay(stored.textsOn)}.`}
          </p>
          {FIRM_TEXTS.map((part) => (
            <div key={part} className={form['field']}>
              <label htmlFor={`text-${part}`}>{FIRM_TEXT_TITLES[part]}</label>
              <textarea
                id={`text-${part}`}
                name={`text-${part}`}
                rows={4}
                defaultValue={stored.texts?.[part] ?? CHERT_TEXTS[part]}
              />
            </div>
          ))}
        </section>
        <StateTexts texts={stored.stateTexts} />
        <Troubles list={trouble} />
        <div className={styles['acts']}>
          <button className={form['act']} type="submit">
            Save
          </button>
          {isSaved && (
            <p role="status">
              Saved. Reports that are issued from now on carry it. <a href="/">Back to the jobs</a>
            </p>
          )}
        </div>
      </fieldset>
    </Form>
  );
});
