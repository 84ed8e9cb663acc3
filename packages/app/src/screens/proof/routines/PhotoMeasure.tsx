import { planeOf, simplified, type OutlineMm, type PointPx } from '@dunlinmoss/core';
import { useEffect, useReducer, useRef } from 'react';

import { newId } from '../../../data/newId';
import { savePhoto } from '../../../data/outbox';
import type { Units } from '../../../settings/preferences';
import { Action } from '../../../components/Action';
import { FilePicker } from '../../../components/FilePicker';
import { notify } from '../../../components/Notice';
import { Panel } from '../../../components/Panel';
import { Progress } from '../../../components/Progress';
import { Text } from '../../../components/Text';
import { photoProblemText, STAGE_WORDS, STAGES } from '../../../words/photo';
import { openPhoto, type PhotoBench } from '../../../workers/printWork';
import { FoundPrintView } from './FoundPrintView';
import { PhotoQuestionFields } from './PhotoQuestionFields';
import { newPhotoWork, photoWork, referenceOf } from './photoWork';

/** What a photo gave, as a run of the print test takes it. */
export interface MeasuredFromPhoto {
  readonly lengthMm: number;
  readonly widthMm: number;
  readonly grossMm2: number;
  readonly netMm2: number | null;
  readonly outline: OutlineMm;
  readonly photoId: string | null;
}

interface PhotoMeasureProps {
  readonly units: Units;
  readonly onAccept: (measured: MeasuredFromPhoto) => void;
}

/** Corners of an outline that a finger can still take hold of, mm apart from the true line. */
const HANDLE_MM = 2.5;

/** A print from a photo: something of known length is marked, the print is found, and the outline accepted or mended. */
export function PhotoMeasure({ units, onAccept }: PhotoMeasureProps) {
  const bench = useRef<PhotoBench>(undefined);
  const file = useRef<Blob>(undefined);
  const [work, dispatch] = useReducer(photoWork, units, newPhotoWork);
  const { question, photo, found, stage, mending, problem } = work;
  useEffect(() => () => bench.current?.close(), []);

  const take = async (chosen: Blob): Promise<void> => {
    bench.current?.close();
    bench.current = undefined;
    dispatch({ type: 'choosing' });
    const { opened, bench: ready } = await openPhoto(chosen);
    if (!opened.ok) {
      dispatch({ type: 'failed', problem: photoProblemText(opened), unopened: true });
      return;
    }
    bench.current = ready;
    file.current = chosen;
    const { shown, width, height } = opened;
    dispatch({ type: 'opened', photo: { src: URL.createObjectURL(shown), width, height } });
  };
  const reference = referenceOf(work);
  const find = async (): Promise<void> => {
    if (!work.moved || !reference) {
      dispatch({ type: 'failed', problem: photoProblemText({ code: 'notMarked' }) });
      return;
    }
    const { mark, drawn, rolls } = question;
    dispatch({ type: 'stage', stage: 'flatten' });
    const result = await bench.current!.measure({ reference, mark, drawn, rolls }, (at) =>
      dispatch({ type: 'stage', stage: at }),
    );
    if (result.ok) dispatch({ type: 'found', found: result.value });
    else dispatch({ type: 'failed', problem: photoProblemText(result.problem) });
  };
  const cancel = (): void => {
    dispatch({ type: 'stage', stage: undefined });
    // The thread is ended in the middle of it; the photo is opened anew on another, marks and all.
    bench.current?.close();
    void openPhoto(file.current!).then(({ bench: ready }) => {
      bench.current = ready;
    });
  };
  const plane = reference && photo ? planeOf(reference, photo) : undefined;
  const ground = plane?.ok ? plane.value : undefined;
  const handles = found && ground ? simplified(found.outline, HANDLE_MM) : [];
  const mend = (index: number, [x, y]: PointPx): void => {
    const outline = handles.map((each, at) => (at === index ? ground!.toGround(x, y) : each));
    dispatch({ type: 'mend', outline });
    if (found!.netMm2 !== null) {
      void bench.current!.inkWithin(outline).then((netMm2) => dispatch({ type: 'ink', netMm2 }));
    }
  };
  const accept = async (): Promise<void> => {
    const { lengthMm, widthMm, grossMm2, netMm2, outline } = found!;
    const photoId = work.keep ? await kept(bench.current!) : null;
    const rounded = outline.map(([x, y]) => [round(x), round(y)] as const);
    onAccept({ lengthMm, widthMm, grossMm2, netMm2, outline: rounded, photoId });
    dispatch({ type: 'accepted' });
  };

  return (
    <Panel title="From a photo">
      <FilePicker
        label={photo ? 'Another photo' : 'Take or choose a photo'}
        accept="image/jpeg,image/png"
        onPick={(chosen) => void take(chosen)}
      />
      {!photo && (
        <Text as="small" tone="muted">
          From above, the whole sheet in view. Where it was taken is never kept.
        </Text>
      )}
      {problem !== undefined && (
        <Text role="alert" tone="rust">
          {problem}
        </Text>
      )}
      {photo && !found && (
        <>
          <PhotoQuestionFields work={work} photo={photo} dispatch={dispatch} />
          {stage === undefined ? (
            <Action kind="main" label="Find the print" onPress={() => void find()} />
          ) : (
            <>
              <Progress label={STAGE_WORDS[stage]} done={STAGES.indexOf(stage)} total={STAGES.length} />
              <Action label="Stop" onPress={cancel} />
            </>
          )}
        </>
      )}
      {photo && found && ground && (
        <FoundPrintView
          found={found}
          photo={photo}
          outline={(mending ? handles : found.outline).map(([x, y]) => ground.toPixel(x, y))}
          mending={mending}
          keep={work.keep}
          units={units}
          dispatch={dispatch}
          onMend={mend}
          onAccept={() => void accept()}
        />
      )}
    </Panel>
  );
}

/** Keeps the photo; null where this browser keeps none, which is said. */
async function kept(bench: PhotoBench): Promise<string | null> {
  const id = newId();
  if (await keepPhoto(id, bench)) return id;
  notify('The measures are taken. This browser could not keep the photo.');
  return null;
}

/** False where the photo can’t be made, kept or sent. */
async function keepPhoto(id: string, bench: PhotoBench): Promise<boolean> {
  try {
    return await savePhoto(id, await bench.kept());
  } catch {
    return false;
  }
}

const round = (mm: number): number => Math.round(mm * 10) / 10;
