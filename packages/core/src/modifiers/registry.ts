import type { Kind } from '../families/family';
import { isLike, type Ground } from '../grounds/ground';
import type { PlanAxle } from '../axle/planAxle';
import { downhillCasing } from './downhillCasing';
import { farFromAir } from './farFromAir';
import { fast } from './fast';
import { gentle } from './gentle';
import { heat } from './heat';
import { insert } from './insert';
import type { Modifier } from './modifier';
import { narrowRim } from './narrowRim';
import { pullingHard } from './pullingHard';
import { seedbed } from './seedbed';
import { slippery } from './slippery';
import { steep } from './steep';
import { thinCasing } from './thinCasing';
import { towing } from './towing';
import { tube } from './tube';
import { wet } from './wet';

/** What the person says of the day, then what the rig tells by itself. */
export const MODIFIERS = [
  heat,
  wet,
  slippery,
  steep,
  towing,
  pullingHard,
  seedbed,
  fast,
  gentle,
  farFromAir,
  tube,
  insert,
  thinCasing,
  downhillCasing,
  narrowRim,
] as const satisfies readonly Modifier[];

export type ModifierCode = (typeof MODIFIERS)[number]['code'];
export const MODIFIER_CODES = MODIFIERS.map(({ code }) => code) as [ModifierCode, ...ModifierCode[]];

const BY_CODE: ReadonlyMap<string, Modifier> = new Map(MODIFIERS.map((each) => [each.code, each]));
export const modifierOf = (code: ModifierCode): Modifier => BY_CODE.get(code)!;

const countsOn = ({ kinds, on }: Modifier, kind: Kind, ground: Ground): boolean =>
  kinds.includes(kind) && (on ? isLike(ground, on) : ground.paved !== true);

/** What a person may say of the day with a kind of rig on a ground. */
export const modifiersFor = (kind: Kind, ground: Ground): readonly ModifierCode[] =>
  MODIFIERS.filter((each: Modifier) => !each.fromRig && countsOn(each, kind, ground)).map(({ code }) => code);

const isChosen = ({ code, opposite }: Modifier, chosen: readonly string[]): boolean =>
  chosen.includes(code) && (opposite === undefined || !chosen.includes(opposite));

/** What is chosen with one more or one less: who says one thing of the day takes back its opposite. */
export function toggled(chosen: readonly ModifierCode[], code: ModifierCode, on: boolean): ModifierCode[] {
  const { opposite } = modifierOf(code);
  const rest = chosen.filter((each) => each !== code && (!on || each !== opposite));
  return on ? [...rest, code] : rest;
}

/** Those that count for one axle: chosen, or known from the rig; never one that has nothing to say on this ground. */
export const modifiersOn = (
  kind: Kind,
  ground: Ground,
  chosen: readonly ModifierCode[],
  axle: PlanAxle,
): readonly ModifierCode[] =>
  MODIFIERS.filter(
    (each: Modifier) => (each.fromRig?.(axle) ?? isChosen(each, chosen)) && countsOn(each, kind, ground),
  ).map(({ code }) => code);
