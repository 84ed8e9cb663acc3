import {
  MOST_SHEETS,
  type OutingRow,
  type Paper,
  type ProofTestRow,
  type RigRow,
  type Sheet,
} from '@dunlinmoss/contract';
import { useEffect, useRef, useState } from 'react';

import { Action } from '../../components/Action';
import { Choice } from '../../components/Choice';
import { giveFile, saveFrom } from '../../components/files';
import { pdfHere } from '../../components/pdf';
import { Progress } from '../../components/Progress';
import { Text } from '../../components/Text';
import { useGauges } from '../../data/gauges';
import { ImportFailed, layOutAtServer } from '../../data/imports';
import { useProofs } from '../../hooks/useProof';
import { unitsStore } from '../../settings/preferences';
import {
  CARD_PAPERS,
  CARD_WORDS,
  CARDS_BUSY,
  CARDS_FAILED,
  CARDS_HERE,
  CARDS_NOTE,
  CARDS_STEPS,
  cardsReadyText,
  makeCardsText,
  tooManyCards,
  type CardCode,
} from '../../words/allCards';
import { pressureCard } from '../../words/pressureCard';
import { rigCard } from '../../words/rigCard';

interface AllCardsProps {
  readonly rigs: readonly RigRow[];
  readonly tests: readonly ProofTestRow[];
  readonly outings: readonly OutingRow[];
}

type State =
  | { readonly at: 'idle'; readonly failed?: string }
  | { readonly at: 'working' | 'layingOut'; readonly done: number; readonly of: number }
  | { readonly at: 'here' }
  | { readonly at: 'ready'; readonly text: string; readonly path: string | null };

/** A card of each machine as one PDF: for the office that prints a season's cards at once. */
export function AllCards({ rigs, tests, outings }: AllCardsProps) {
  const [code, setCode] = useState<CardCode>('pressures');
  const [paper, setPaper] = useState<Paper>('A6');
  const [state, setState] = useState<State>({ at: 'idle' });
  const cancel = useRef<AbortController | undefined>(undefined);
  useEffect(() => () => cancel.current?.abort(), []);
  const units = unitsStore.use();
  const gauges = useGauges();
  const proofOf = useProofs();

  const cardOf = (rig: RigRow, now: string): Sheet => {
    if (code === 'rig') return rigCard(rig, gauges, units, now);
    const own = {
      tests: tests.filter(({ rigId }) => rigId === rig.id),
      outings: outings.filter(({ rigId }) => rigId === rig.id),
    };
    return pressureCard(rig, own.tests, null, units, now, (asked) => proofOf(rig, own, asked));
  };
  const make = async (): Promise<void> => {
    cancel.current = new AbortController();
    const { signal } = cancel.current;
    const many = rigs.length;
    const name = CARD_WORDS[code].file;
    const all: Sheet[] = [];
    const now = new Date().toISOString();
    try {
      // Machine by machine, so that a finger gets between them.
      for (const rig of rigs) {
        setState({ at: 'working', done: all.length, of: many });
        await new Promise((resolve) => setTimeout(resolve));
        if (signal.aborted) return;
        all.push(cardOf(rig, now));
      }
      const sheets = { name, paper, sheets: all };
      setState({ at: 'layingOut', done: 0, of: many });
      const file = await layOutAtServer(sheets, {
        signal,
        onEvent: ({ made }) => setState({ at: 'layingOut', done: made, of: many }),
      }).catch((error: unknown) => {
        // Whatever keeps the store from it, this device can.
        if (error instanceof ImportFailed && !signal.aborted) return null;
        throw error;
      });
      if (file) {
        setState({ at: 'ready', text: cardsReadyText(many, file.bytes, true), path: file.path });
        saveFrom(file.path);
        return;
      }
      setState({ at: 'here' });
      const pdf = await pdfHere(sheets);
      if (signal.aborted) return;
      giveFile(`${name}.pdf`, pdf);
      setState({ at: 'ready', text: cardsReadyText(many, pdf.size, false), path: null });
    } catch {
      if (!signal.aborted) setState({ at: 'idle', failed: CARDS_FAILED });
    }
  };

  const isBusy = state.at === 'working' || state.at === 'layingOut' || state.at === 'here';
  const again =
    <Of,>(set: (value: Of) => void) =>
    (value: Of) => {
      cancel.current?.abort();
      set(value);
      setState({ at: 'idle' });
    };
  return (
    <>
      <Choice
        label="Each card tells"
        value={code}
        options={(Object.keys(CARD_WORDS) as CardCode[]).map((each) => ({ code: each, ...CARD_WORDS[each] }))}
        onChange={again(setCode)}
      />
      <Choice label="Paper" value={paper} options={CARD_PAPERS} onChange={again(setPaper)} />
      <Text as="small" tone="muted">
        {CARDS_NOTE}
      </Text>
      {rigs.length > MOST_SHEETS ? (
        <Text role="alert">{tooManyCards(MOST_SHEETS)}</Text>
      ) : (
        // It stays where it is, so that the keyboard's place does.
        <Action
          icon="file-text"
          label={isBusy ? CARDS_BUSY : makeCardsText(rigs.length)}
          disabled={rigs.length === 0}
          onPress={() => void (isBusy || make())}
        />
      )}
      {(state.at === 'working' || state.at === 'layingOut') && (
        <Progress label={CARDS_STEPS[state.at]} done={state.done} total={state.of} />
      )}
      {state.at === 'here' && <Text role="status">{CARDS_HERE}</Text>}
      {state.at === 'ready' && (
        <>
          <Text role="status">{state.text}</Text>
          {state.path !== null && <Action label="Fetch it once more" onPress={() => saveFrom(state.path!)} />}
        </>
      )}
      {state.at === 'idle' && state.failed !== undefined && <Text role="alert">{state.failed}</Text>}
    </>
  );
}
