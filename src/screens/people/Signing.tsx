import { memo, useState } from 'react';
import { sendJson } from '#client/api';
import { troublesOf } from '#client/say-sent';
import type { Signing as Signed } from '#core/model/firm/firm';
import { Field, Troubles } from '../shared/Fields';
import { Form } from '../shared/Form';
import form from '../shared/form.module.css';
import { PictureField } from '../shared/PictureField';
import { useReady } from '../shared/useReady';

/** The license and the signature that stand under one's own reports. */
export const Signing = memo(function Signing({
  signing = {},
}: {
  readonly signing: Signed | undefined;
}) {
  const ready = useReady();
  const [picture, setPicture] = useState<string | null>(signing.signature ?? null);
  const [trouble, setTrouble] = useState<readonly string[]>([]);
  const [isSaved, setSaved] = useState(false);
  return (
    <Form
      onChange={() => setSaved(false)}
      onTyped={async ({ text }) => {
        const license = text('license');
        const wanted: Signed = {
          ...(license === '' ? {} : { license }),
          ...(picture === null ? {} : { signature: picture }),
        };
        const sent = await sendJson('PATCH', '/api/preferences', { signing: wanted });
        setSaved(sent.state === 'ok');
        setTrouble(troublesOf(sent));
      }}
    >
      <fieldset className={form['whole']} disabled={!ready}>
        <Field
          name="license"
          label="License"
          value={signing.license}
          hint="As it is printed, with the state and kind: “TX home inspector 1234”."
        />
        <PictureField
          label="Signature"
          url={picture}
          onPicture={(url) => {
            setPicture(url);
            setSaved(false);
          }}
        />
        <Troubles list={trouble} />
        <button className={form['plain']} type="submit">
          Save
        </button>
        {isSaved && <p role="status">Saved. Reports issued from now on carry it.</p>}
      </fieldset>
    </Form>
  );
});
