import { Plus, Trash2 } from 'lucide-react';
import { memo, useState } from 'react';
import { useFieldArray, useForm, useWatch } from 'react-hook-form';
import { backupsFromFields, backupsToFields } from '#client/actions/backups-fields';
import { hoursFromFields, hoursToFields } from '#client/actions/hours-fields';
import { fromFields, toFields } from '#client/actions/judgement-fields';
import { MAYBE_NUMBER, type SettingsFields } from '#client/actions/settings-fields';
import { sendJson } from '#client/api';
import { troublesOf } from '#client/say-sent';
import { faultsFromJoi } from '#core/base/fault';
import { VALIDATION } from '#core/base/joi';
import { sameJson } from '#core/model/job/edits';
import { sayEntry } from '#core/model/log/say-entry';
import { type Preferences } from '#core/site/equipment';
import { preferencesSchema } from '#core/site/equipment.schema';
import { parseCallout } from '#core/speech/parse';
import { Troubles } from '../shared/Fields';
import { sayFaults } from '../shared/form-data';
import form from '../shared/form.module.css';
import { useReady } from '../shared/useReady';
import { type BackupsNow, BackupsPart } from './BackupsPart';
import { Exchange } from './Exchange';
import { HoursPart } from './HoursPart';
import { JudgementPart } from './JudgementPart';
import { KeepPart } from './KeepPart';
import { Labelled } from './Labelled';
import styles from './SettingsScreen.module.css';

const fieldsOf = (preferences: Preferences): SettingsFields => ({
  ownWords: [...preferences.ownWords],
  equipment: {
    ...preferences.equipment,
    heads: [...preferences.equipment.heads],
    skids: preferences.equipment.skids.map((name) => ({ name })),
  },
  judgement: toFields(preferences.judgement),
  hours: hoursToFields(preferences.hours),
  keepMonths: preferences.keepMonths ?? null,
  backups: backupsToFields(preferences.backups),
});

const LABELS = {
  'equipment.rodFt': 'Length of the rod',
  'equipment.rodLbPerFt': 'Weight of the rod',
  'equipment.pushLb': 'Push',
  keepMonths: 'Months to keep voice and video',
  'backups.days': 'Days of backups',
};

/** What each inspector of a firm sets alone. */
const OWN_PARTS = new Set(['equipment', 'ownWords']);
/** What only the owner of a firm sets. */
const OWNERS_PARTS = new Set(['keepMonths', 'backups']);

/** How Chert reads one of the inspector's words, as a check beside it. */
function sayReading(means: string): string {
  const read = parseCallout(means, {
    counterFt: 0,
    pass: 'out',
    boreHereIn: 4,
    standing: [],
    openIds: new Set(),
  });
  if (!read) return '';
  return read.kept === null
    ? `read as: ${sayEntry(read.drafts[0]!).title}`
    : 'Chert does not know this one';
}

/** The rig, the inspector's own words and how jobs are judged: set once, used by every job. */
export const SettingsScreen = memo(function SettingsScreen({
  preferences,
  mayFirm,
  mayKeep,
  backups,
}: {
  readonly preferences: Preferences;
  /** Whether what counts for the whole firm may be set here. */
  readonly mayFirm: boolean;
  /** Whether how long things are kept may be set here. */
  readonly mayKeep: boolean;
  /** How the backups stand. */
  readonly backups: BackupsNow;
}) {
  const ready = useReady();
  const [trouble, setTrouble] = useState<readonly string[]>([]);
  const [isKept, setKept] = useState(false);
  const [stored, setStored] = useState(preferences);
  // What the server has, as far as this screen knows.
  const [onServer, setOnServer] = useState<Preferences>(preferences);
  const { register, control, handleSubmit, reset } = useForm<SettingsFields>({
    defaultValues: fieldsOf(preferences),
  });
  const heads = useFieldArray({ control, name: 'equipment.heads' as never });
  const skids = useFieldArray({ control, name: 'equipment.skids' });
  const words = useFieldArray({ control, name: 'ownWords' as never });
  const saidWords = useWatch({ control, name: 'ownWords' });

  const save = handleSubmit(async ({ ownWords, equipment, judgement, ...rest }) => {
    const wanted = {
      ownWords: ownWords.filter(({ says, means }) => says.trim() !== '' || means.trim() !== ''),
      equipment: {
        ...equipment,
        skids: equipment.skids.map(({ name }) => name.trim()).filter((name) => name !== ''),
      },
      judgement: fromFields(judgement),
      hours: hoursFromFields(rest.hours),
      keepMonths: rest.keepMonths ?? null,
      backups: backupsFromFields(rest.backups),
      ...(stored.priceBooks ? { priceBooks: stored.priceBooks } : {}),
      ...(stored.firm ? { firm: stored.firm } : {}),
    };
    const { error } = preferencesSchema.validate(wanted, VALIDATION);
    setKept(false);
    if (error) {
      setTrouble(sayFaults(faultsFromJoi(error), LABELS));
      return;
    }
    // Only what was changed here: what another screen changed meanwhile stands.
    const changed = Object.fromEntries(
      Object.entries(wanted).filter(
        ([key, value]) =>
          (mayFirm || OWN_PARTS.has(key)) &&
          (mayKeep || !OWNERS_PARTS.has(key)) &&
          !sameJson(value, onServer[key as keyof typeof wanted]),
      ),
    );
    const sent = await sendJson('PATCH', '/api/preferences', changed);
    setTrouble(troublesOf(sent));
    if (sent.state === 'ok') {
      setKept(true);
      setOnServer({ ...onServer, ...wanted });
      setStored({ ...stored, ...wanted });
    }
  });
  const number = { valueAsNumber: true } as const;

  return (
    <form className={styles['settings']} onSubmit={save} noValidate>
      <fieldset className={form['whole']} disabled={!ready}>
        <section className={styles['part']} aria-labelledby="rig-title">
          <h2 id="rig-title">The rig</h2>
          <div className={styles['grid']}>
            <Labelled label="Rod, ft">
              <input inputMode="decimal" {...register('equipment.rodFt', number)} />
            </Labelled>
            <Labelled label="Rod weight, lb per foot">
              <input inputMode="decimal" {...register('equipment.rodLbPerFt', number)} />
            </Labelled>
            <Labelled label="Push you can keep up, lb">
              <input inputMode="decimal" {...register('equipment.pushLb', number)} />
            </Labelled>
          </div>
          <h3>Heads</h3>
          <p>
            With its field of view, an open joint can be measured on a still: hold the head a foot
            from a tape; 14.4 in seen from top to bottom is 62°. With its lens distortion (0 for
            none, about −0.1 for a wide lens) every measurement is more certain. Leave empty what
            you do not know.
          </p>
          {heads.fields.map((field, index) => (
            <div key={field.id} className={styles['row']}>
              <Labelled label="Head">
                <input {...register(`equipment.heads.${index}.name`)} />
              </Labelled>
              <Labelled label="Diameter, in">
                <input
                  inputMode="decimal"
                  {...register(`equipment.heads.${index}.diameterIn`, number)}
                />
              </Labelled>
              <Labelled label="Field of view, °">
                <input
                  inputMode="decimal"
                  {...register(`equipment.heads.${index}.fieldDeg`, MAYBE_NUMBER)}
                />
              </Labelled>
              <Labelled label="Lens distortion">
                <input
                  inputMode="decimal"
                  {...register(`equipment.heads.${index}.distortion`, MAYBE_NUMBER)}
                />
              </Labelled>
              <label className={styles['tick']}>
                <input type="checkbox" {...register(`equipment.heads.${index}.levels`)} />{' '}
                self-leveling
              </label>
              <Remove label={`Remove head ${index + 1}`} onClick={() => heads.remove(index)} />
            </div>
          ))}
          <Add onClick={() => heads.append({ name: '', diameterIn: 1.5, levels: false })}>
            Add a head
          </Add>
          <h3>Skids and guides</h3>
          {skids.fields.map((field, index) => (
            <div key={field.id} className={styles['row']}>
              <Labelled label="Skid">
                <input {...register(`equipment.skids.${index}.name`)} />
              </Labelled>
              <Remove label={`Remove skid ${index + 1}`} onClick={() => skids.remove(index)} />
            </div>
          ))}
          <Add onClick={() => skids.append({ name: '' })}>Add a skid</Add>
        </section>
        <section className={styles['part']} aria-labelledby="words-title">
          <h2 id="words-title">Your own words</h2>
          <p>
            What you call a thing, and what that is in Chert’s words. The call-out line then
            understands yours.
          </p>
          {words.fields.map((field, index) => (
            <div key={field.id} className={styles['row']}>
              <Labelled label="You say">
                <input {...register(`ownWords.${index}.says`)} />
              </Labelled>
              <Labelled label="It means" hint={sayReading(saidWords[index]?.means ?? '')}>
                <input {...register(`ownWords.${index}.means`)} />
              </Labelled>
              <Remove label={`Remove word ${index + 1}`} onClick={() => words.remove(index)} />
            </div>
          ))}
          <Add onClick={() => words.append({ says: '', means: '' })}>Add a word</Add>
        </section>
        {mayFirm && <JudgementPart register={register} />}
        {mayFirm && <HoursPart register={register} />}
        {mayKeep && <KeepPart register={register} />}
        {mayKeep && <BackupsPart register={register} now={backups} />}
        {mayFirm && (
          <>
            <section className={styles['part']} aria-labelledby="firm-title">
              <h2 id="firm-title">Your firm</h2>
              <p>
                Who signs, with license, logo, signature and terms, is set up on{' '}
                <a href="/firm">Your firm</a>.
              </p>
            </section>
            <section className={styles['part']} aria-labelledby="prices-title">
              <h2 id="prices-title">Prices</h2>
              <p>
                Repairs are priced from <a href="/prices">price books</a>, one for each area.
              </p>
            </section>
          </>
        )}
        <Exchange
          kept={stored}
          onTrouble={setTrouble}
          onRead={(read) => {
            reset(fieldsOf(read));
            setStored((now) => ({
              ...now,
              ...(read.priceBooks ? { priceBooks: read.priceBooks } : {}),
              ...(read.firm ? { firm: read.firm } : {}),
            }));
            setTrouble([]);
            setKept(false);
          }}
        />
        <Troubles list={trouble} />
        <div className={styles['row']}>
          <button className={form['act']} type="submit">
            Save settings
          </button>
          {isKept && <p role="status">Saved.</p>}
        </div>
      </fieldset>
    </form>
  );
});

function Remove({ label, onClick }: { readonly label: string; readonly onClick: () => void }) {
  return (
    <button type="button" className={styles['icon']} aria-label={label} onClick={onClick}>
      <Trash2 size={20} aria-hidden="true" />
    </button>
  );
}

function Add({
  onClick,
  children,
}: {
  readonly onClick: () => void;
  readonly children: React.ReactNode;
}) {
  return (
    <button type="button" className={form['plain']} onClick={onClick}>
      <Plus size={18} aria-hidden="true" /> {children}
    </button>
  );
}
