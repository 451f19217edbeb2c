import { useCallback, useEffect, useState } from 'react';
import { getJson } from '#client/api';
import { findFileHandle, findKeptPieces, keepFileHandle } from '#client/store';
import type { Recording } from '#core/model/job/recording';

export type Source = {
  /** What a video element plays; `null` while there is nothing. */
  readonly url: string | null;
  /** Why there is nothing, and what to do, in one sentence. */
  readonly need: string | null;
  /** Takes the file that the recording is in. */
  readonly choose: (file: File, handle: FileSystemFileHandle | null) => void;
  /** Asks the browser for the file that was chosen before; `null` where none is remembered. */
  readonly reopen: (() => void) | null;
};

const pathOf = (jobId: string, id: string) =>
  `/api/jobs/${encodeURIComponent(jobId)}/recordings/${encodeURIComponent(id)}`;

/** What the browser may ask a remembered file for; not in every browser. */
type Asking = {
  readonly queryPermission?: (wish: { mode: 'read' }) => Promise<PermissionState>;
  readonly requestPermission?: (wish: { mode: 'read' }) => Promise<PermissionState>;
};

/** The pieces that this device has not sent yet, behind those that the server has; `null` when it has all. */
async function withKeptPieces(jobId: string, id: string): Promise<Blob | null> {
  const kept = await findKeptPieces(id);
  if (kept.size === 0) return null;
  const first = Math.min(...kept.keys());
  const inOrder = [...kept].sort(([a], [b]) => a - b).map(([, blob]) => blob);
  if (first === 0) return new Blob(inOrder, { type: inOrder[0]!.type });
  const parts: Blob[] = [];
  let have = 0;
  for (;;) {
    const answer = await fetch(`${pathOf(jobId, id)}?raw`, {
      headers: { range: `bytes=${have}-` },
    });
    if (!answer.ok) break;
    const part = await answer.blob();
    parts.push(part);
    have += part.size;
    if (have >= Number(/\/(\d+)$/.exec(answer.headers.get('content-range') ?? '')?.[1] ?? 0)) break;
  }
  return new Blob([...parts, ...inOrder], { type: parts[0]?.type ?? 'video/webm' });
}

/** Where the picture of a recording comes from: this device, the server, or a file of the inspector's own. */
export function useSource(jobId: string, recording: Recording | null): Source {
  const [url, setUrl] = useState<string | null>(null);
  const [need, setNeed] = useState<string | null>(null);
  const [handle, setHandle] = useState<FileSystemFileHandle | null>(null);
  const id = recording?.id ?? null;
  const name = recording?.name ?? '';
  const place = recording?.place ?? null;

  useEffect(() => {
    let made: string | null = null;
    let isOver = false;
    setUrl(null);
    setNeed(null);
    setHandle(null);
    if (id === null) return;
    const give = (blob: Blob) => {
      if (isOver) return;
      made = URL.createObjectURL(blob);
      setUrl(made);
      setNeed(null);
    };
    const find = async () => {
      if (place === 'server') {
        const kept = await withKeptPieces(jobId, id).catch(() => null);
        if (kept) {
          give(kept);
          return;
        }
        const about = await getJson<{ bytes: number }>(`${pathOf(jobId, id)}?about`);
        if (isOver) return;
        if (about.state === 'ok' && about.value.bytes === 0)
          setNeed(
            `The server has nothing of “${name}” yet: it is still on the device that recorded it, or on another server.`,
          );
        else setUrl(pathOf(jobId, id));
        return;
      }
      const known: (FileSystemFileHandle & Asking) | null = await findFileHandle(id).catch(
        () => null,
      );
      if (known && (await known.queryPermission?.({ mode: 'read' })) === 'granted') {
        give(await known.getFile());
        return;
      }
      if (isOver) return;
      setHandle(known);
      setNeed(`This recording stays in a file of yours, “${name}”. Open it to look at it.`);
    };
    find().catch(() =>
      setNeed(`“${name}” is no longer where it was. Choose it again, or another copy of it.`),
    );
    return () => {
      isOver = true;
      if (made) URL.revokeObjectURL(made);
    };
  }, [jobId, id, name, place]);

  const choose = useCallback(
    (file: File, chosen: FileSystemFileHandle | null) => {
      setUrl((before) => {
        if (before?.startsWith('blob:')) URL.revokeObjectURL(before);
        return URL.createObjectURL(file);
      });
      setNeed(null);
      // Without room for it the file is asked for again next time.
      if (chosen && id !== null) void keepFileHandle(id, chosen).catch(() => undefined);
    },
    [id],
  );
  const reopen = async (known: FileSystemFileHandle & Asking) => {
    if ((await known.requestPermission?.({ mode: 'read' })) === 'granted')
      choose(await known.getFile(), known);
  };
  return { url, need, choose, reopen: handle ? () => void reopen(handle) : null };
}
