/** A camera that the browser offers. */
export type CameraDevice = { readonly id: string; readonly name: string };

/** Which camera, and whether sound goes with its picture. */
export type CameraChoice = { readonly deviceId: string | null; readonly hasSound: boolean };

const KEY = 'chert:camera';
const NONE: CameraChoice = { deviceId: null, hasSound: false };

/** The camera that was used last on this device. */
export function recallCamera(): CameraChoice {
  try {
    const text = window.localStorage.getItem(KEY);
    return text === null ? NONE : { ...NONE, ...(JSON.parse(text) as Partial<CameraChoice>) };
  } catch {
    return NONE;
  }
}

export function rememberCamera(choice: CameraChoice): void {
  try {
    window.localStorage.setItem(KEY, JSON.stringify(choice));
  } catch {
    // It is asked for again next time.
  }
}

/** The cameras that there are; their names are told once one was allowed. */
export async function listCameras(): Promise<CameraDevice[]> {
  const devices = await navigator.mediaDevices.enumerateDevices();
  return devices
    .filter(({ kind }) => kind === 'videoinput')
    .map(({ deviceId, label }, index) => ({ id: deviceId, name: label || `Camera ${index + 1}` }));
}

/**
 * Opens a camera. Where the one that was used last is gone, any other.
 *
 * @throws what the browser says: nobody allowed it, or there is none.
 */
export async function openCamera({ deviceId, hasSound }: CameraChoice): Promise<MediaStream> {
  const video = { width: { ideal: 1280 }, frameRate: { ideal: 30 } };
  const exact = deviceId === null ? video : { ...video, deviceId: { exact: deviceId } };
  try {
    return await navigator.mediaDevices.getUserMedia({ video: exact, audio: hasSound });
  } catch (error) {
    if (deviceId === null || (error as { name?: string }).name !== 'OverconstrainedError')
      throw error;
    return navigator.mediaDevices.getUserMedia({ video, audio: hasSound });
  }
}

/** What to say when no camera opens. */
export function sayCameraTrouble(error: unknown): string {
  const { name } = error as { name?: string };
  if (name === 'NotAllowedError')
    return 'The browser was not allowed the camera. Allow it beside the address, then press again.';
  if (name === 'NotFoundError')
    return 'No camera is plugged in. Plug in its receiver, then press again.';
  if (name === 'NotReadableError')
    return 'Another program holds the camera. Close it there, then press again.';
  return 'The camera did not open. Unplug it, plug it in, and press again.';
}
