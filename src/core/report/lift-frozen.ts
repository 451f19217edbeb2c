import type { Block } from './block';
import { type Documents, READERS } from './documents';
import type { Frozen } from './frozen';

type OldFinding = {
  readonly kind: 'finding';
  readonly id: string;
  readonly number: number;
  readonly severity: 'slight' | 'moderate' | 'major' | 'failed';
  readonly title: string;
  readonly photoId: string | null;
};
type OldBlock = OldFinding | { readonly kind: string };

const isFinding = (block: OldBlock): block is OldFinding => block.kind === 'finding';

/** A block of version 1 as version 2 has it: one finding a block, and no firm at the head. */
function liftBlock(block: OldBlock): Block {
  if (block.kind === 'masthead') return { ...block, firm: null } as unknown as Block;
  if (!isFinding(block)) return block as unknown as Block;
  const { id, number, severity, title, photoId, ...more } = block;
  const picture = photoId === null ? null : { photoId, caption: title };
  const place = { id, number, severity, where: title, ground: null, says: null, picture };
  return {
    ...more,
    id,
    number,
    severity,
    title,
    key: `finding:${id}`,
    places: [place],
  } as unknown as Block;
}

type OldFrozen = Omit<Frozen, 'version' | 'documents'> & {
  readonly version: 1;
  readonly documents: Readonly<Record<keyof Documents, readonly OldBlock[]>>;
};

/** An issued report as it is read today, whatever version it was frozen in. What it says stays as it was. */
export function liftFrozen(stored: Frozen | OldFrozen): Frozen {
  if (stored.version === 2) return stored;
  const documents = Object.fromEntries(
    READERS.map((reader) => [reader, stored.documents[reader].map(liftBlock)]),
  ) as unknown as Documents;
  return { ...stored, version: 2, documents };
}
