import { useEffect, useState } from 'react';

export type Position = {
  readonly latDeg: number;
  readonly lonDeg: number;
  readonly accuracyFt: number;
};

const KEY = 'chert:position';
const WAIT_MS = 8_000;
const FT_PER_M = 3.280_84;

/** Where this device is, for locates; off until it is switched on. */
export function usePosition() {
  const [isAble, setAble] = useState(false);
  const [isOn, setOn] = useState(false);
  useEffect(() => {
    setAble('geolocation' in navigator);
    setOn(window.localStorage.getItem(KEY) === 'on');
  }, []);
  return {
    isAble,
    isOn,
    toggle: () => {
      window.localStorage.setItem(KEY, isOn ? 'off' : 'on');
      setOn(!isOn);
    },
    /** The position now; `null` when it is off, not allowed, or not known in time. */
    find: () =>
      new Promise<Position | null>((resolve) => {
        if (!isOn || !isAble) {
          resolve(null);
          return;
        }
        navigator.geolocation.getCurrentPosition(
          ({ coords }) =>
            resolve({
              latDeg: coords.latitude,
              lonDeg: coords.longitude,
              accuracyFt: Math.round(coords.accuracy * FT_PER_M),
            }),
          () => resolve(null),
          { enableHighAccuracy: true, timeout: WAIT_MS },
        );
      }),
  };
}
