import {
  outlineFigures,
  planeOf,
  simplified,
  type OutlineFigures,
  type OutlineMm,
  type PointPx,
  type PrintQuestion,
  type PrintStage,
  type Reference,
} from '@dunlinmoss/core';
import { useEffect, useRef, useState } from 'react';

import { keepPhoto } from '../../../data/photos';
import { newId } from '../../../data/newId';
import type { Units } from '../../../settings/preferences';
import { Action } from '../../../components/Action';
import { Choice } from '../../../components/Choice';
import { FilePicker } from '../../../components/FilePicker';
import { Panel } from '../../../components/Panel';
import { Progress } from '../../../components/Progress';
import { QuantityField } from '../../../components/QuantityField';
import { canonicalOf, quantityText, type QuantityText } from '../../../components/quantityText';
import { Text } from '../../../components/Text';
import { Toggle } from '../../../components/Toggle';
import { area } from '../../../words/area';
import { length, percent } from '../../../words/format';
import { photoProblemText, STAGE_WORDS, STAGES } from '../../../words/photo';
import { openPhoto, type PhotoBench } from '../../../workers/printWork';
import { PhotoMarks } from './PhotoMarks';

/** What a photo gave, as a run of the print test takes it. */
export interface MeasuredFromPhoto {
  readonly lengthMm: number;
  readonly widthMm: number;
  readonly grossMm2: number;
  readonly netMm2: number | null;
  readonly outline: OutlineMm;
  readonly photoId: string | null;
}

/** Sheets that lie about. Exact: ISO 216; the last is a common size across another ocean. */
const SHEETS = {
  A4: [210, 297],
  A3: [297, 420],
  letter: [215.9, 279.4],
} as const;
type SheetCode = keyof typeof SHEETS | 'own';

interface Open {
  readonly src: string;
  readonly width: number;
  readonly height: number;
}

interface Found extends OutlineFigures {
  readonly netMm2: number | null;
  /** Ink beside the outline, as a share of all. */
  readonly leftOutShare: number;
  readonly outline: OutlineMm;
}

/** Corners of an outline that a finger can still take hold of, mm apart from the true line. */
const HANDLE_MM = 2.5;

/** A print from a photo: something of known length is marked, the print is found, and the outline accepted or mended. */
export function PhotoMeasure({
  units,
  onAccept,
}: {
  readonly units: Units;
  readonly onAccept: (measured: MeasuredFromPhoto) => void;
}) {
  const bench = useRef<PhotoBench>(undefined);
  const file = useRef<Blob>(undefined);
  const [open, setOpen] = useState<Open>();
  const [kind, setKind] = useState<Reference['kind']>('sheet');
  const [sheet, setSheet] = useState<SheetCode>('A4');
  const [lying, setLying] = useState<'upright' | 'across'>('upright');
  const [size, setSize] = useState<readonly [QuantityText, QuantityText]>([
    quantityText('length', units.length, 300),
    quantityText('length', units.length, 300),
  ]);
  const [mark, setMark] = useState<PrintQuestion['mark']>('dark');
  const [drawn, setDrawn] = useState<PrintQuestion['drawn']>('tread');
  const [rolls, setRolls] = useState<PrintQuestion['rolls']>('upright');
  const [marks, setMarks] = useState<readonly PointPx[]>([]);
  const [moved, setMoved] = useState(false);
  const [stage, setStage] = useState<PrintStage>();
  const [problem, setProblem] = useState<string>();
  const [found, setFound] = useState<Found>();
  const [mending, setMending] = useState(false);
  const [keep, setKeep] = useState(true);
  useEffect(() => () => bench.current?.close(), []);

  const startMarks = (of: Reference['kind'], { width, height }: Open): void => {
    const at = (x: number, y: number): PointPx => [x * width, y * height];
    setMarks(
      of === 'tape' ? [at(0.2, 0.5), at(0.8, 0.5)] : [at(0.15, 0.15), at(0.85, 0.15), at(0.85, 0.85), at(0.15, 0.85)],
    );
    setMoved(false);
    setFound(undefined);
  };
  const take = async (chosen: Blob): Promise<void> => {
    bench.current?.close();
    bench.current = undefined;
    setProblem(undefined);
    setFound(undefined);
    const { opened, bench: ready } = await openPhoto(chosen);
    if (!opened.ok) {
      setOpen(undefined);
      setProblem(photoProblemText(opened));
      return;
    }
    bench.current = ready;
    file.current = chosen;
    const next = { src: URL.createObjectURL(opened.shown), width: opened.width, height: opened.height };
    setOpen(next);
    startMarks(kind, next);
  };
  const reference = (): Reference | undefined => {
    const [a, b] = size.map((each) => canonicalOf('length', each));
    if (kind === 'tape') return a !== undefined && a > 0 ? { kind, ends: marks, lengthMm: a } : undefined;
    const own = kind === 'tile' || sheet === 'own';
    const [short, long] = own ? [a, b] : SHEETS[sheet as keyof typeof SHEETS];
    if (short === undefined || long === undefined || !(short > 0 && long > 0)) return undefined;
    const [widthMm, heightMm] = own || lying === 'upright' ? [short, long] : [long, short];
    return { kind, corners: marks, widthMm, heightMm };
  };
  const find = async (): Promise<void> => {
    const known = reference();
    if (!moved || !known) {
      setProblem(photoProblemText({ code: 'notMarked' }));
      return;
    }
    setProblem(undefined);
    setStage('flatten');
    const result = await bench.current!.measure({ reference: known, mark, drawn, rolls }, setStage);
    setStage(undefined);
    if (result.ok) setFound(result.value);
    else setProblem(photoProblemText(result.problem));
  };
  const cancel = (): void => {
    setStage(undefined);
    // The thread is ended in the middle of it; the photo is opened anew on another, marks and all.
    bench.current?.close();
    void openPhoto(file.current!).then(({ bench: ready }) => {
      bench.current = ready;
    });
  };
  const known = reference();
  const plane = known && open ? planeOf(known, open) : undefined;
  const ground = plane?.ok ? plane.value : undefined;
  const handles = found && ground ? simplified(found.outline, HANDLE_MM) : [];
  const mend = (index: number, [x, y]: PointPx): void => {
    const outline = handles.map((each, at) => (at === index ? ground!.toGround(x, y) : each));
    setFound({ ...found!, ...outlineFigures(outline, rolls), outline, leftOutShare: 0 });
    if (found!.netMm2 !== null) {
      void bench.current!.inkWithin(outline).then((netMm2) => setFound((now) => now && { ...now, netMm2 }));
    }
  };
  const accept = async (): Promise<void> => {
    const photoId = keep ? newId() : null;
    if (photoId) await keepPhoto(photoId, await bench.current!.kept()).catch(() => undefined);
    const { lengthMm, widthMm, grossMm2, netMm2, outline } = found!;
    onAccept({
      lengthMm,
      widthMm,
      grossMm2,
      netMm2,
      outline: outline.map(([x, y]) => [round(x), round(y)] as const),
      photoId,
    });
    setFound(undefined);
    setOpen(undefined);
  };

  const sideWords = kind === 'tape' ? ['Between the marks'] : ['Its width', 'Its height'];
  return (
    <Panel title="From a photo">
      <FilePicker
        label={open ? 'Another photo' : 'Take or choose a photo'}
        accept="image/jpeg,image/png"
        onPick={(chosen) => void take(chosen)}
      />
      {!open && (
        <Text as="small" tone="muted">
          From above, the whole sheet in view. Where it was taken is never kept.
        </Text>
      )}
      {problem !== undefined && (
        <Text role="alert" tone="rust">
          {problem}
        </Text>
      )}
      {open && !found && (
        <>
          <Choice
            label="Known length in view"
            value={kind}
            options={[
              { code: 'sheet', name: 'The sheet' },
              { code: 'tile', name: 'A tile beside' },
              { code: 'tape', name: 'A tape' },
            ]}
            onChange={(next) => {
              setKind(next);
              startMarks(next, open);
            }}
          />
          {kind === 'sheet' && (
            <>
              <Choice
                label="Size of the sheet"
                value={sheet}
                options={[
                  { code: 'A4', name: 'A4' },
                  { code: 'A3', name: 'A3' },
                  { code: 'letter', name: 'Letter' },
                  { code: 'own', name: 'Its own' },
                ]}
                onChange={setSheet}
              />
              {sheet !== 'own' && (
                <Choice
                  label="It lies in the photo"
                  value={lying}
                  options={[
                    { code: 'upright', name: 'Upright' },
                    { code: 'across', name: 'Across' },
                  ]}
                  onChange={setLying}
                />
              )}
            </>
          )}
          {(kind !== 'sheet' || sheet === 'own') &&
            sideWords.map((word, index) => (
              <QuantityField
                key={word}
                label={word}
                quantity="length"
                value={size[index]!}
                onChange={(value) => setSize(index === 0 ? [value, size[1]] : [size[0], value])}
              />
            ))}
          <Text>{kind === 'tape' ? 'Drag the two marks onto the tape.' : 'Drag the four marks onto the corners.'}</Text>
          <PhotoMarks
            src={open.src}
            width={open.width}
            height={open.height}
            marks={marks}
            joined={kind === 'tape' ? 'line' : 'round'}
            tone="reference"
            names={(index) => (kind === 'tape' ? `Mark ${index + 1} on the tape` : `Corner ${index + 1}`)}
            onMove={(index, to) => {
              setMoved(true);
              setMarks(marks.map((each, at) => (at === index ? to : each)));
            }}
          />
          <Choice
            label="The print is"
            value={mark}
            options={[
              { code: 'dark', name: 'Dark on light' },
              { code: 'light', name: 'Light on dark' },
            ]}
            onChange={setMark}
          />
          <Choice
            label="It shows"
            value={drawn}
            options={[
              { code: 'tread', name: 'The tread' },
              { code: 'line', name: 'A line round it' },
            ]}
            onChange={setDrawn}
          />
          <Choice
            label="In the photo the wheel rolls"
            value={rolls}
            options={[
              { code: 'upright', name: 'Up and down' },
              { code: 'across', name: 'Left and right' },
            ]}
            onChange={setRolls}
          />
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
      {open && found && ground && (
        <>
          <PhotoMarks
            src={open.src}
            width={open.width}
            height={open.height}
            marks={(mending ? handles : found.outline).map(([x, y]) => ground.toPixel(x, y))}
            joined="round"
            tone="outline"
            still={!mending}
            names={(index) => `Outline ${index + 1}`}
            onMove={(index, to) => {
              if (mending) mend(index, to);
            }}
          />
          <Text as="heading">{`${length(found.lengthMm, units)} long, ${length(found.widthMm, units)} wide`}</Text>
          <Text>
            {`${area(found.grossMm2, units)} within the outline${found.netMm2 === null ? '' : `, ${area(found.netMm2, units)} rubber, ${percent(Math.max(0, 1 - found.netMm2 / found.grossMm2))} void`}.`}
          </Text>
          {found.leftOutShare > 0 && (
            <Text as="small" tone="rust" role="alert">
              {`${percent(found.leftOutShare)} of the ink lies beside this outline. If a shoulder stood there too, mend the outline round it.`}
            </Text>
          )}
          <Toggle
            label="Keep the photo"
            note="Made small; without place, time or camera."
            value={keep}
            onChange={setKeep}
          />
          <Action kind="main" label="Accept this print" onPress={() => void accept()} />
          <Action label={mending ? 'Mended' : 'Mend the outline'} onPress={() => setMending(!mending)} />
          <Action label="Mark anew" onPress={() => setFound(undefined)} />
        </>
      )}
    </Panel>
  );
}

const round = (mm: number): number => Math.round(mm * 10) / 10;
