/** Kept photos: small JPEGs under `/api/v1/photos/<id>`, made without a word of where they were taken. */
export const PHOTO_PATH = 'photos';
export const PHOTO_TYPE = 'image/jpeg';
/** The largest that is kept, bytes. */
export const PHOTO_LIMIT = 1_000_000;
