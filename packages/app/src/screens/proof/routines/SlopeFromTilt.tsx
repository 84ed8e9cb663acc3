import { useState } from 'react';

import { Action } from '../../../components/Action';
import { notify } from '../../../components/Notice';

/** Longer than a phone takes to tell how it lies, ms. */
const PATIENCE_MS = 2_000;

interface AsksFirst {
  readonly requestPermission?: () => Promise<'granted' | 'denied'>;
}

/** Lays the phone on the slope and reads its angle, where it can tell how it lies. */
export function SlopeFromTilt({ onRead }: { readonly onRead: (slopeDeg: number) => void }) {
  const [waits, setWaits] = useState(false);
  if (typeof DeviceOrientationEvent === 'undefined') return null;
  const read = async (): Promise<void> => {
    setWaits(true);
    const asks = DeviceOrientationEvent as unknown as AsksFirst;
    const allowed = (await asks.requestPermission?.().catch(() => 'denied' as const)) ?? 'granted';
    const tilt = allowed === 'granted' ? await nextTilt() : undefined;
    setWaits(false);
    if (tilt === undefined) notify('This device has no tilt sensor: type the slope.');
    else onRead(tilt);
  };
  return (
    <Action
      label={waits ? 'Reading …' : 'Lay the phone on the slope: read it'}
      disabled={waits}
      onPress={() => void read()}
    />
  );
}

const nextTilt = (): Promise<number | undefined> =>
  new Promise((resolve) => {
    const end = (value: number | undefined): void => {
      clearTimeout(timer);
      removeEventListener('deviceorientation', told);
      resolve(value);
    };
    const told = ({ beta, gamma }: DeviceOrientationEvent): void => {
      if (beta !== null && gamma !== null) end(slopeOf(beta, gamma));
    };
    const timer = setTimeout(() => end(undefined), PATIENCE_MS);
    addEventListener('deviceorientation', told);
  });

/** How steep a phone lies, degrees, from its turns about its two edges. Exact. */
export function slopeOf(betaDeg: number, gammaDeg: number): number {
  const [beta, gamma] = [(betaDeg * Math.PI) / 180, (gammaDeg * Math.PI) / 180];
  return (Math.acos(Math.abs(Math.cos(beta) * Math.cos(gamma))) * 180) / Math.PI;
}
