import { ulid } from 'ulid';
import type { JobOnDevice } from '#client/job-on-device';
import type { Holidays, ReportOptions } from '#core/model/job/report-options';
import { DEFAULT_REPORT_OPTIONS } from '#core/model/job/report-options';
import type { EditableText } from '#core/report/wording';
import { deciding } from './decide';

/** What can be done on Report, each as a change that the job keeps. */
export function reportActions(job: JobOnDevice) {
  const { change, inspection } = job;
  const { put, drop } = deciding(change);
  const { report = {}, holidays } = inspection.settings;
  return {
    /** Puts a text in other words; Chert's own words are taken as letting the wording go. */
    word: ({ key, computed, decisionId }: EditableText, text: string, reason: string) => {
      const said = text.trim();
      if (said !== computed && !(said === '' && key !== 'remark'))
        put({
          id: decisionId ?? ulid(),
          kind: 'report-wording',
          reason,
          key,
          text: said,
          over: computed,
        });
      else if (decisionId) drop(decisionId);
    },
    unword: drop,
    set: <K extends keyof ReportOptions>(key: K, value: ReportOptions[K]) => {
      const { [key]: _was, ...others } = report;
      const laid = value === DEFAULT_REPORT_OPTIONS[key] ? others : { ...others, [key]: value };
      change({
        what: 'facts',
        facts: { settings: { report: Object.keys(laid).length === 0 ? null : laid } },
      });
    },
    setHolidays: (next: Holidays) => {
      const isNone = next.added.length + next.removed.length === 0;
      if (isNone && !holidays) return;
      change({ what: 'facts', facts: { settings: { holidays: isNone ? null : next } } });
    },
    chooseStills: (photoIds: readonly string[] | null, decisionId: string | null) => {
      if (photoIds !== null)
        put({ id: decisionId ?? ulid(), kind: 'report-stills', reason: '', photoIds });
      else if (decisionId) drop(decisionId);
    },
  };
}

export type ReportActions = ReturnType<typeof reportActions>;
