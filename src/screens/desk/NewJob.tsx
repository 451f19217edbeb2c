import { useId } from 'react';
import { useForm } from 'react-hook-form';
import { ulid } from 'ulid';
import { postJson } from '#client/api';
import { instantOfFields, timeOfMin } from '#client/time';
import { type Booking } from '#core/model/job/booking';
import { checkBooking } from '#core/model/job/booking.schema';
import { readPlace } from '#core/office/travel';
import form from '../shared/form.module.css';
import { useReady } from '../shared/useReady';
import { type FreeTime, FreeTimes } from './FreeTimes';

type Fields = {
  address: string;
  client: string;
  inspector: string;
  day: string;
  time: string;
  endsOn: string;
  scope: Booking['scope'];
  responsibility: Booking['responsibility'];
  place: string;
  fee: string;
  /** The account that goes with the inspector's name; empty where Chert has no people. */
  assignedTo: string;
};

/** Which field of the form a fault of the booking belongs to. */
const FIELD_OF: Record<string, keyof Fields> = {
  address: 'address',
  client: 'client',
  inspector: 'inspector',
  scheduledFor: 'day',
  inspectionPeriodEndsOn: 'endsOn',
  scope: 'scope',
  responsibility: 'responsibility',
};

const WANTED: Partial<Record<keyof Fields, string>> = {
  address: 'Enter the address of the property.',
  client: 'Enter who the scope is for.',
  day: 'Enter the day of the scope.',
};

/** Books a job: property, client, when, the end of the inspection period, scope. */
export function NewJob({
  responsibility,
  inspector,
  crews,
  again,
}: {
  /** Where the owner's duty usually ends here. */
  readonly responsibility: Booking['responsibility'];
  /** Who usually inspects. */
  readonly inspector: string;
  /** Whose job it can be, where Chert has people and whoever is signed in may say; else none. */
  readonly crews: readonly { readonly id: string; readonly name: string }[];
  /** A property that is looked at again. */
  readonly again: {
    readonly address: string;
    readonly client: string;
    readonly place: string;
  } | null;
}) {
  const id = useId();
  const ready = useReady();
  const { register, handleSubmit, setError, setValue, getValues, formState } = useForm<Fields>({
    defaultValues: {
      inspector,
      time: '09:00',
      scope: 'lateral',
      responsibility,
      endsOn: '',
      fee: '',
      assignedTo: '',
      place: again?.place ?? '',
      address: again?.address ?? '',
      client: again?.client ?? '',
    },
  });
  const { errors, isSubmitting } = formState;

  const book = handleSubmit(async (fields) => {
    const position = readPlace(fields.place);
    if (fields.place.trim() !== '' && !position) {
      setError('place', { message: 'Expected two numbers, such as 45.52, -122.68.' });
      return;
    }
    const booking = {
      id: ulid(),
      address: fields.address.trim(),
      client: fields.client.trim(),
      inspector: crews.find((one) => one.id === fields.assignedTo)?.name ?? fields.inspector.trim(),
      ...(fields.assignedTo ? { assignedTo: fields.assignedTo } : {}),
      ...(position ? { position } : {}),
      ...(fields.fee.trim() ? { fee: fields.fee.trim() } : {}),
      scheduledFor: fields.day ? instantOfFields(fields.day, fields.time) : '',
      ...(fields.endsOn ? { inspectionPeriodEndsOn: fields.endsOn } : {}),
      scope: fields.scope,
      responsibility: fields.responsibility,
    };
    const checked = checkBooking(booking);
    const show = (faults: readonly { path: string; expected: string; next?: string }[]) => {
      for (const fault of faults) {
        const field = FIELD_OF[fault.path];
        const message = (field && WANTED[field]) ?? `Expected ${fault.expected}.`;
        setError(field ?? 'root', { message });
      }
    };
    if (!checked.ok) {
      show(checked.faults);
      return;
    }
    const sent = await postJson<{ id: string }>('/api/jobs', checked.value);
    if (sent.state === 'ok') {
      window.location.assign(`/jobs/${sent.value.id}/site`);
    } else if (sent.state === 'refused') {
      show(sent.faults);
      setError('root', { message: sent.message });
    } else {
      setError('root', {
        message: 'Chert’s server does not answer. Nothing you typed is lost; try again.',
      });
    }
  });

  const choose = (time: FreeTime) => {
    setValue('day', time.day);
    setValue('time', timeOfMin(time.beginMin));
    if (crews.some((one) => one.id === time.personId)) setValue('assignedTo', time.personId);
    else if (crews.length === 0 && time.name) setValue('inspector', time.name);
  };

  const field = (name: keyof Fields, label: string, type = 'text', hint?: string) => (
    <div className={form['field']}>
      <label htmlFor={`${id}-${name}`}>{label}</label>
      <input
        id={`${id}-${name}`}
        type={type}
        autoComplete="off"
        list={name === 'client' ? 'contacts' : undefined}
        aria-invalid={errors[name] ? true : undefined}
        aria-describedby={errors[name] ? `${id}-${name}-error` : undefined}
        {...register(name)}
      />
      {hint && <p className={form['hint']}>{hint}</p>}
      {errors[name] && (
        <p className={form['error']} id={`${id}-${name}-error`} role="alert">
          {errors[name].message}
        </p>
      )}
    </div>
  );

  return (
    <form className={form['form']} onSubmit={book} noValidate aria-labelledby={`${id}-title`}>
      <h2 id={`${id}-title`}>{again ? 'Look again' : 'New job'}</h2>
      <fieldset className={form['whole']} disabled={!ready}>
        {field('address', 'Property')}
        {field('client', 'For')}
        <div className={form['pair']}>
          {field('day', 'Scope on', 'date')}
          {field('time', 'At', 'time')}
        </div>
        {field('endsOn', 'Inspection period ends', 'date')}
        <FreeTimes
          wish={() => ({ endsOn: getValues('endsOn'), place: getValues('place') })}
          onChoose={choose}
        />
        {crews.length === 0 ? (
          field('inspector', 'Inspector')
        ) : (
          <div className={form['field']}>
            <label htmlFor={`${id}-assignedTo`}>Inspector</label>
            <select id={`${id}-assignedTo`} {...register('assignedTo')}>
              <option value="">Unassigned</option>
              {crews.map((crew) => (
                <option key={crew.id} value={crew.id}>
                  {crew.name}
                </option>
              ))}
            </select>
          </div>
        )}
        <div className={form['field']}>
          <label htmlFor={`${id}-scope`}>What is in scope</label>
          <select id={`${id}-scope`} {...register('scope')}>
            <option value="lateral">The lateral only</option>
            <option value="lateral-and-building-drain">The lateral and the building drain</option>
          </select>
        </div>
        <div className={form['field']}>
          <label htmlFor={`${id}-responsibility`}>The owner is responsible</label>
          <select id={`${id}-responsibility`} {...register('responsibility')}>
            <option value="to-main">to the main</option>
            <option value="to-property-line">to the property line</option>
          </select>
        </div>
        <details>
          <summary>More: position, fee</summary>
          {field(
            'place',
            'Latitude and longitude',
            'text',
            'To work out drives, such as 45.52, -122.68.',
          )}
          {field(
            'fee',
            'Fee',
            'text',
            'As text; it appears on the job and in the export for your books.',
          )}
        </details>
        {errors.root && (
          <p className={form['error']} role="alert">
            {errors.root.message}
          </p>
        )}
        <button className={form['act']} type="submit" disabled={isSubmitting}>
          Book the job
        </button>
      </fieldset>
    </form>
  );
}
