/** What a pump delivers against a pressure: liters of the air outside, a minute. */
export interface FlowPoint {
  readonly pressureKpa: number;
  readonly litersPerMin: number;
}

/** What there is of the air, where it ends: a charge of so many liters, or gas from a bottle. */
export type Budget =
  { readonly kind: 'liters'; readonly liters: number } | { readonly kind: 'gas'; readonly kg: number } | null;

export interface Pump {
  /** By pressure, from 0 up. Straight lines between; level before the first; nothing above the last but its last. */
  readonly flow: readonly [FlowPoint, ...FlowPoint[]];
  /** Minutes it may run before it must rest, and how long; null runs for as long as one likes. */
  readonly duty: { readonly onMin: number; readonly restMin: number } | null;
  readonly budget: Budget;
}
