import { PHOTO_LIMIT, PHOTO_PATH, PHOTO_TYPE } from '@dunlinmoss/contract';
import express, { Router } from 'express';
import type { Pool, RowDataPacket } from 'mysql2/promise';
import { z } from 'zod';

import { Refusal } from '../problems';

const idParameter = z.object({ id: z.uuid() });

/** A JPEG says what follows it in marked parts; those before the picture itself are looked through. */
function isPlainJpeg(bytes: Buffer): boolean {
  if (bytes.length < 4 || bytes[0] !== 0xff || bytes[1] !== 0xd8) return false;
  let at = 2;
  while (at + 4 <= bytes.length && bytes[at] === 0xff) {
    const marker = bytes[at + 1]!;
    if (marker === 0xda) return true;
    // Where and with what it was taken stands in this part: nobody needs it, and it is not kept.
    if (marker === 0xe1) return false;
    at += 2 + bytes.readUInt16BE(at + 2);
  }
  return false;
}

/** Photos of prints by id, written once: the same id again is the same photo. */
export function photoRoutes(pool: Pool): Router {
  const router = Router();
  router.get(`/${PHOTO_PATH}/:id`, async (request, response) => {
    const id = idParameter.safeParse(request.params);
    if (!id.success) throw new Refusal('notFound');
    const [rows] = await pool.query<RowDataPacket[]>('SELECT bytes FROM proof_photos WHERE owner_id = ? AND id = ?', [
      request.ownerId,
      id.data.id,
    ]);
    const bytes = rows[0]?.bytes as Buffer | undefined;
    if (!bytes) throw new Refusal('notFound');
    response.set({ 'Content-Type': PHOTO_TYPE, 'Cache-Control': 'private, max-age=31536000, immutable' }).send(bytes);
  });
  router.put(`/${PHOTO_PATH}/:id`, express.raw({ type: PHOTO_TYPE, limit: PHOTO_LIMIT }), async (request, response) => {
    const id = idParameter.safeParse(request.params);
    if (!id.success) throw new Refusal('notFound');
    const bytes: unknown = request.body;
    if (!Buffer.isBuffer(bytes) || !isPlainJpeg(bytes)) {
      throw new Refusal('invalid', {
        fields: [{ path: '/', code: 'notAPhoto', message: 'Expected a JPEG without EXIF data' }],
      });
    }
    await pool.query('INSERT INTO proof_photos SET ? ON DUPLICATE KEY UPDATE id = proof_photos.id', [
      { owner_id: request.ownerId, id: id.data.id, bytes, created_at: new Date() },
    ]);
    response.status(204).end();
  });
  return router;
}
