import { type MaterialEntry, type ZoneEntry } from './kinds/boundary';
import { type CloseEntry, type DefectEntry } from './kinds/defect';
import { type FeatureEntry } from './kinds/feature';
import {
  type FlagEntry,
  type NoteEntry,
  type PhotoEntry,
  type RetractEntry,
} from './kinds/jotting';
import { type EndEntry, type HomeEntry, type SetupEntry } from './kinds/running';
import {
  type AdviceEntry,
  type ClearEntry,
  type FlowTestEntry,
  type UnseenEntry,
  type WaterEntry,
} from './kinds/seeing';
import { type LocateEntry, type SurfaceEntry } from './kinds/surface';

/** One line of the field log. Entries are appended, never edited. */
export type Entry =
  | FlagEntry
  | MaterialEntry
  | FeatureEntry
  | DefectEntry
  | CloseEntry
  | WaterEntry
  | ClearEntry
  | AdviceEntry
  | UnseenEntry
  | ZoneEntry
  | LocateEntry
  | FlowTestEntry
  | SetupEntry
  | EndEntry
  | HomeEntry
  | SurfaceEntry
  | RetractEntry
  | PhotoEntry
  | NoteEntry;

export type EntryKind = Entry['kind'];
/** The entry type of one kind. */
export type EntryOf<K extends EntryKind> = Extract<Entry, { kind: K }>;

type Drafted<E> = E extends Entry ? Omit<E, 'id' | 'at'> : never;

/** An entry before it is logged: it has no id and no time yet. */
export type EntryDraft = Drafted<Entry>;
