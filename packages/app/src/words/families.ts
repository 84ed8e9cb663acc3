import type { Family, FamilyCode, LoadPositionCode, Posture, TireUse } from '@dunlinmoss/core';

/** A family's name, and how to know that it is yours. */
export const FAMILY_WORDS: Record<FamilyCode, { readonly name: string; readonly sign: string }> = {
  fourWheel: { name: 'Four-wheel drive', sign: 'Wagon, pickup, with or without a trailer' },
  vanTruck: { name: 'Van or truck', sign: 'Pairs behind where it has them' },
  quad: { name: 'Quad', sign: 'Ridden, with racks or a plow' },
  sideBySide: { name: 'Side-by-side', sign: 'Seats, a steering wheel, a tray' },
  adventureTwin: { name: 'Adventure motorcycle', sign: 'Two cylinders, 200–270\u00a0kg' },
  trailSingle: { name: 'Trail motorcycle', sign: 'One cylinder, 160–200\u00a0kg' },
  lightSingle: { name: 'Light trail motorcycle', sign: 'One cylinder, 125–160\u00a0kg' },
  gravelBike: { name: 'Gravel bicycle', sign: 'Drop bar, 35–50\u00a0mm' },
  mountainBike: { name: 'Mountain bicycle', sign: 'Flat bar, 2.1–2.8\u00a0in' },
  fatBike: { name: 'Fat bicycle', sign: '3.8 in and wider' },
  electricBike: { name: 'E-bicycle', sign: 'With a motor, any tire' },
  roadBike: { name: 'Road bicycle', sign: 'Up to 35\u00a0mm' },
  cityBike: { name: 'City or touring bicycle', sign: '32–60\u00a0mm, mostly tubes' },
  tractor: { name: 'Tractor', sign: 'Alone, or with what it draws' },
  sprayer: { name: 'Self-propelled sprayer', sign: 'A tank that empties' },
  farmTrailer: { name: 'Tanker or spreader', sign: 'Drawn, its drawbar on the tractor' },
};

/** The families as a person looks for theirs. */
export const KIND_WORDS: Record<Family['kind'], string> = {
  car: 'Four wheels',
  quad: 'Quad and side-by-side',
  motorcycle: 'Motorcycle',
  bicycle: 'Bicycle',
  farm: 'Farm',
};

export const TIRE_USE_WORDS: Record<TireUse, string> = {
  passenger: 'passenger car',
  lightTruck: 'light truck',
  commercial: 'van',
  truck: 'truck',
  quad: 'quad',
  motorcycle: 'motorcycle',
  bicycle: 'bicycle',
  farm: 'farm',
};

export const LOAD_POSITION_WORDS: Record<LoadPositionCode, string> = {
  frontSeats: 'Front seats',
  rearSeats: 'Rear seats',
  roof: 'Roof',
  tray: 'Tray or boot',
  aheadOfFront: 'Ahead of the front axle',
  behindRear: 'Behind the rear axle',
  driver: 'Rider',
  frontRack: 'Front rack',
  rearRack: 'Rear rack',
  plow: 'Plow',
  rider: 'Rider',
  passenger: 'Passenger',
  tankBag: 'Tank bag',
  panniers: 'Panniers',
  handlebar: 'Handlebar',
  frame: 'In the frame',
  saddleBag: 'Saddle bag',
  cab: 'Cab',
  frontWeights: 'Front weights',
  frontLoader: 'Front loader',
  rearLinkage: 'Rear linkage',
  rearWeights: 'Rear wheel weights',
  sprayTank: 'Spray tank',
  boom: 'Boom',
  trailerFront: 'Front of the trailer',
  trailerMiddle: 'Middle of the trailer',
  trailerBack: 'Back of the trailer',
};

export const POSTURE_WORDS: Record<Posture, { readonly name: string; readonly note: string }> = {
  timeTrial: { name: 'Low, time trial', note: '50 % in front' },
  road: { name: 'Road', note: '45 %' },
  gravel: { name: 'Upright, gravel', note: '40 %' },
  mountain: { name: 'Upright, mountain', note: '37.5 %' },
};

/** What holds the pressure on the road is called. */
export const ROAD_WORDS: Record<Family['kind'], { readonly label: string; readonly hint: string }> = {
  car: { label: 'Placard pressure, cold', hint: 'From the door post or the fuel flap, for this load.' },
  quad: { label: 'Road pressure, cold', hint: 'From the label on the frame or the sidewall.' },
  motorcycle: { label: 'Road pressure, cold', hint: 'From the swing arm or the owner’s manual.' },
  bicycle: { label: 'Pressure you ride now', hint: 'Leave it empty if you do not know.' },
  farm: { label: 'Road pressure, cold', hint: 'What it needs on the road at its heaviest.' },
};

/** What the pressure that a rig is compared with is called, in a word. */
export const COMPARED_WITH: Record<Family['kind'], string> = {
  car: 'road',
  quad: 'road',
  motorcycle: 'road',
  bicycle: 'now',
  farm: 'road',
};
