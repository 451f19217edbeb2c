import { useEffect, useRef, useState } from 'react';
import { changedFacts, readFacts } from '#client/actions/site';
import { checkFacts, type FactsChange } from '#core/model/job/facts';
import type { Inspection } from '#core/model/job/inspection';
import { FOUNDATIONS, OCCUPANCIES, type Property } from '#core/model/job/property';
import { Field, Select, Troubles } from '../shared/Fields';
import { Form } from '../shared/Form';
import { readForm, sayFaults, type Typed } from '../shared/form-data';
import form from '../shared/form.module.css';
import { useReady } from '../shared/useReady';
import { MoreOfHouse } from './MoreOfHouse';
import styles from './SiteScreen.module.css';

type Props = {
  readonly inspection: Inspection;
  readonly onFacts: (facts: FactsChange) => void;
};

const LABELS = {
  'job.title': 'Title',
  'job.client': 'For',
  'job.scheduledFor': 'Scope on',
  'job.inspectionPeriodEndsOn': 'Inspection period ends',
  'job.lengthMin': 'Takes, min',
  'property.address': 'Address',
  'property.position': 'Latitude and longitude',
  'property.yearBuilt': 'Year built',
  'property.households': 'Households',
  'property.bathrooms': 'Bathrooms',
};
const PURPOSES = [
  ['purchase', 'A purchase'],
  ['authority', 'An authority asks'],
  ['complaint', 'A complaint'],
  ['after-repair', 'After a repair'],
] as const;
const SCOPES = [
  ['lateral', 'The lateral only'],
  ['lateral-and-building-drain', 'The lateral and the building drain'],
] as const;
const DUTIES = [
  ['to-main', 'to the main'],
  ['to-property-line', 'to the property line'],
] as const;

const placeText = (position: Property['position']) =>
  position && `${position.lat}, ${position.lon}`;

/** What was agreed and what is known of the house; saved on this device first. */
export function FactsForm({ inspection, onFacts }: Props) {
  const { job, property } = inspection;
  const [trouble, setTrouble] = useState<readonly string[]>([]);
  const [isKept, setKept] = useState(false);
  const ready = useReady();

  const element = useRef<HTMLFormElement>(null);
  // What the form showed: only what was changed in it is set, whatever came from elsewhere meanwhile.
  const before = useRef<FactsChange>({});
  useEffect(() => {
    if (ready && element.current) before.current = readFacts(readForm(element.current), job);
    // eslint-disable-next-line react-hooks/exhaustive-deps -- as it was when the form came alive
  }, [ready]);

  const save = (typed: Typed) => {
    const said = readFacts(typed, job);
    const facts = changedFacts(before.current, said);
    const checked = checkFacts(inspection, facts);
    setTrouble(checked.ok ? [] : sayFaults(checked.faults, LABELS));
    setKept(checked.ok);
    if (!checked.ok) return;
    before.current = said;
    onFacts(facts);
  };

  return (
    <Form
      ref={element}
      className={styles['facts']}
      onTyped={save}
      onChange={() => setKept(false)}
      aria-label="Job facts"
    >
      <fieldset className={form['whole']} disabled={!ready}>
        <div className={styles['grid']}>
          <div className={styles['wide']}>
            <Field name="address" label="Address" value={property.address} />
          </div>
          <Field name="title" label="Title of the job" value={job.title} />
          <Field name="client" label="For" value={job.client} list="contacts" />
          <Field name="day" label="Scope on" type="date" value={job.scheduledFor.slice(0, 10)} />
          <Field name="time" label="At" type="time" value={job.scheduledFor.slice(11, 16)} />
          <Field
            name="endsOn"
            label="Inspection period ends"
            type="date"
            value={job.inspectionPeriodEndsOn}
          />
          <Field name="inspector" label="Inspector" value={job.inspector} />
          <Field name="agent" label="Agent" value={job.agent} list="contacts" />
          <Field name="attended" label="Who was there" value={job.attended} />
          <Field name="weather" label="Weather" value={job.weather} />
          <Select
            name="purpose"
            label="Asked for by"
            options={PURPOSES}
            value={job.purpose ?? 'purchase'}
          />
          <Select name="scope" label="In scope" options={SCOPES} value={job.scope} />
          <Select
            name="responsibility"
            label="The owner is responsible"
            options={DUTIES}
            value={job.responsibility}
          />
          <Field name="complaint" label="Complaint, if there is one" value={job.complaint} />
          <Field name="yearBuilt" label="Year built" value={property.yearBuilt} mode="numeric" />
          <Field name="households" label="Households" value={property.households} mode="numeric" />
          <Field name="bathrooms" label="Bathrooms" value={property.bathrooms} mode="decimal" />
          <Select
            name="occupancy"
            label="Lived in?"
            options={OCCUPANCIES}
            value={property.occupancy}
          />
          <Select
            name="foundation"
            label="Foundation"
            options={FOUNDATIONS}
            value={property.foundation}
          />
          <Field name="frontFaces" label="Front faces" value={property.frontFaces} />
          <Field name="place" label="Latitude and longitude" value={placeText(property.position)} />
          <Field name="lengthMin" label="Takes, min" value={job.lengthMin} mode="numeric" />
          <Field name="fee" label="Fee" value={job.fee} />
          <Field name="invoice" label="Invoice" value={job.invoice} />
        </div>
        <MoreOfHouse inspection={inspection} />
        {property.occupancy === 'vacant' && (
          <p>Nobody lives here: a line that runs clear in an empty house proves little.</p>
        )}
        <Troubles list={trouble} />
        <div className={styles['acts']}>
          <button className={form['act']} type="submit">
            Save these facts
          </button>
          {/* On this device: the mark at the top says when the server has it. */}
          {isKept && <p role="status">Kept.</p>}
        </div>
      </fieldset>
    </Form>
  );
}
