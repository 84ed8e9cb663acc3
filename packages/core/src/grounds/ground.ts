import type { Kind } from '../families/family';
import type { FamilyCode } from '../families/registry';
import type { Source } from '../sources/source';
import type { Figure } from './figure';

/** One value for each figure of a ground. */
type Ends = Readonly<Record<Figure, number>>;

/** The three figures of a ground, and where they are from. */
export interface Figures {
  readonly start: number;
  readonly low: number;
  readonly high: number;
  readonly source: Source;
  /** Where the low end has another standing than the rest. */
  readonly lowSource?: Source;
}

/** What grounds can be like. */
export type Trait =
  /** Sand of any kind, and sand that is dry and loose. */
  | 'sand'
  | 'loose'
  /** Wheels sink in until the chassis may stand on it. */
  | 'deep'
  | 'mud'
  /** Stones or snags that cut a sidewall. */
  | 'sharp'
  /** Square edges that a rim can be struck on. */
  | 'edges'
  | 'corrugated'
  | 'snow'
  /** A blade is pushed. */
  | 'pushing'
  /** The rear is let down on purpose, for one climb. */
  | 'lowRear'
  /** Farm soil, and farm soil that gives way. */
  | 'field'
  | 'moist'
  /** May be slippery under driven wheels; under a bicycle when it is wet. */
  | 'slick'
  | 'slickTrail'
  /** May be steep. */
  | 'hills';

/**
 * One kind of ground, with what each trade runs there in its own currency. A new ground is a file in this folder and a
 * line in `registry.ts`. For those who drive, the start is the firm end of the window: on site it is easy to let more
 * out and slow to put it back.
 */
export interface Ground {
  readonly code: string;
  /** Who meets it. */
  readonly kinds: readonly Kind[];
  /** Families of those kinds that do not. */
  readonly notFor?: readonly FamilyCode[];
  /** What it is like: cautions and modifiers ask for these, never for a ground by its code. */
  readonly traits: readonly Trait[];
  /** Where the road's pressure rules, for families that have one. */
  readonly paved?: true;
  /** Psi on the reference rig (see `schools/referenceRig.ts`): cars and, in proportion, quads. */
  readonly onReferenceRig?: Figures;
  /** Motorcycles: as a share of the low end of the class. */
  readonly ofClass?: Figures;
  /** Motorcycles: steps of 5 psi below the maker's figure. */
  readonly makerSteps?: number;
  /** Bicycles: psi above or below a hardpack trail, at the trade's 24 psi; the rear where it differs. */
  readonly bicycle?: Figures & {
    /** The rear where it is let down on purpose. */
    readonly rear?: Figures;
    /** Nothing hard to strike a rim on. */
    readonly soft?: true;
    /** Pavement of some kind: firm tires need not be softer in front there. */
    readonly hard?: true;
    /** What is left on narrow tires (to 32 mm), as a share instead of psi. Assumption. */
    readonly narrowShare?: Ends;
    /** On fat tires (from 3.8 in), as a share of the trail's figure. Common practice, no source; ends are assumptions. */
    readonly fatShare?: Ends;
  };
  /** The guide; where there is none, law, tire and rider set the speed. */
  readonly speedGuideKmh: { readonly low: number; readonly high: number } | null;
  /** Below the ordinary floors, and only after the person has said so. */
  readonly deliberate?: true;
}

/** The ground is like all of these. */
export const isLike = ({ traits }: Ground, ...wanted: readonly Trait[]): boolean =>
  wanted.every((trait) => traits.includes(trait));

/** The figures that a kind of rig goes by on a ground; none where its school needs none. */
export const figuresFor = (
  { onReferenceRig, ofClass, bicycle }: Ground,
  kind: Kind,
  wheel: 'front' | 'behind',
): Figures | null =>
  ({
    car: onReferenceRig,
    quad: onReferenceRig,
    motorcycle: ofClass,
    bicycle: wheel === 'front' ? bicycle : (bicycle?.rear ?? bicycle),
    farm: undefined,
  })[kind] ?? null;

/** For a kind whose grounds are psi up and down from its own start, those figures. */
export const stepsFor = (ground: Ground, kind: Kind, wheel: 'front' | 'behind'): Figures | null =>
  kind === 'bicycle' ? figuresFor(ground, kind, wheel) : null;
