import type { JobOnDevice } from '#client/job-on-device';
import type { Inspection } from '#core/model/job/inspection';
import { type Light, type Stage, TopBar } from '#ui/TopBar';
import { SaveMark, SaveStrip } from './SaveMark';
import { UtilityStop } from './UtilityStop';

type Props = {
  readonly job: JobOnDevice;
  readonly stage: Stage;
  readonly light: Light;
  readonly onLight: (light: Light) => void;
  readonly detail?: string | undefined;
  readonly waiting?: Partial<Record<Stage, number>>;
};

/** The top bar of a screen that writes on this device first: the job, its stages, and what is saved where. */
export function JobBar({ job, stage, light, onLight, detail, waiting = {} }: Props) {
  const { id, title }: Inspection['job'] = job.inspection.job;
  return (
    <>
      <TopBar
        light={light}
        path={`/jobs/${id}/${stage}`}
        job={{ id, title, ...(detail === undefined ? {} : { detail }) }}
        stage={stage}
        waiting={waiting}
        onLight={onLight}
        who={job.who}
      >
        <SaveMark job={job} />
      </TopBar>
      <SaveStrip job={job} inspection={job.inspection} />
      <UtilityStop inspection={job.inspection} />
    </>
  );
}
