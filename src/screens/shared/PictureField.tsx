import { useId, useState } from 'react';
import { smallPicture } from '#client/small-picture';
import form from './form.module.css';

type Props = {
  readonly label: string;
  readonly url: string | null;
  readonly onPicture: (url: string | null) => void;
};

/** A picture from a file, made small and shown. */
export function PictureField({ label, url, onPicture }: Props) {
  const id = useId();
  const [trouble, setTrouble] = useState('');
  const take = async (file: File | undefined) => {
    if (!file) return;
    try {
      onPicture(await smallPicture(file));
      setTrouble('');
    } catch {
      setTrouble('This is no picture that your browser can read. Take a PNG or a JPEG.');
    }
  };
  return (
    <div className={form['field']}>
      <label htmlFor={id}>{label}</label>
      {url && <img className={form['picture']} src={url} alt={`${label}, as it is printed`} />}
      <input
        id={id}
        type="file"
        accept="image/png,image/jpeg"
        onChange={(event) => void take(event.target.files?.[0])}
      />
      {url && (
        <button type="button" className={form['plain']} onClick={() => onPicture(null)}>
          Remove the {label.toLowerCase()}
        </button>
      )}
      {trouble && (
        <p className={form['error']} role="alert">
          {trouble}
        </p>
      )}
    </div>
  );
}
