import type { Kind } from '../families/family';
import type { Source } from '../sources/source';

/** Which figure of a ground is asked for, and one value for each. */
type Ends = Readonly<Record<'start' | 'low' | 'high', number>>;

/** The three figures of a ground, and where they are from. */
export interface Figures {
  readonly start: number;
  readonly low: number;
  readonly high: number;
  readonly source: Source;
  /** Where the low end has another standing than the rest. */
  readonly lowSource?: Source;
}

/**
 * One kind of ground, with what each trade runs there in its own currency. A new ground is a file in this folder and a
 * line in `registry.ts`. For those who drive, the start is the firm end of the window: on site it is easy to let more
 * out and slow to put it back.
 */
export interface Ground {
  readonly code: string;
  /** Who meets it. */
  readonly kinds: readonly Kind[];
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
  /** Square edges that a rim can be struck on. */
  readonly edges?: true;
  /** The guide; where there is none, law, tire and rider set the speed. */
  readonly speedGuideKmh: { readonly low: number; readonly high: number } | null;
  /** Below the ordinary floors, and only after the person has said so. */
  readonly deliberate?: true;
}

/** The figures that a kind of rig goes by on a ground; none where its school needs none. */
export const figuresFor = (
  { onReferenceRig, ofClass, bicycle }: Ground,
  kind: Kind,
  wheel: 'front' | 'behind',
): Figures | undefined =>
  ({
    car: onReferenceRig,
    quad: onReferenceRig,
    motorcycle: ofClass,
    bicycle: wheel === 'front' ? bicycle : (bicycle?.rear ?? bicycle),
    farm: undefined,
  })[kind];

/** Where a kind is told its ground in psi up and down from its own start, those figures. */
export const stepsFor = (ground: Ground, kind: Kind, wheel: 'front' | 'behind'): Figures | undefined =>
  kind === 'bicycle' ? figuresFor(ground, kind, wheel) : undefined;
