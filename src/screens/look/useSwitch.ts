import { useEffect, useState } from 'react';

/** A helper of the machine that can be switched off; remembered on this device. */
export function useSwitch(name: string): readonly [isOn: boolean, set: (isOn: boolean) => void] {
  const key = `chert:helper:${name}`;
  const [isOn, setOn] = useState(true);
  useEffect(() => setOn(window.localStorage.getItem(key) !== 'off'), [key]);
  const set = (next: boolean) => {
    setOn(next);
    window.localStorage.setItem(key, next ? 'on' : 'off');
  };
  return [isOn, set];
}
