import { PHOTO_LIMIT, PHOTO_PATH, PHOTO_TYPE } from '@dunlinmoss/contract';
import express from 'express';
import type { Pool } from 'mysql2/promise';

import { isPlainJpeg } from '../imports/jpeg';
import { Refusal } from '../problems';
import { keepPhoto, photoBytes } from '../repositories/photos';
import type { PhotoStore } from '../store/photoStore';
import { idOf } from './idOf';
import { Routes } from './declared';

/** Photos of prints by id, written once: the same id again is the same photo. */
export function photoRoutes(pool: Pool, store: PhotoStore): Routes {
  const router = new Routes();
  router.get(`/${PHOTO_PATH}/:id`, 'viewer', async (request, response) => {
    const id = idOf(request.params.id);
    const bytes = await photoBytes(pool, store, request.ownerId, id);
    if (!bytes) throw new Refusal('notFound');
    response.set({ 'Content-Type': PHOTO_TYPE, 'Cache-Control': 'private, max-age=31536000, immutable' }).send(bytes);
  });
  router.put(
    `/${PHOTO_PATH}/:id`,
    'member',
    express.raw({ type: PHOTO_TYPE, limit: PHOTO_LIMIT }),
    async (request, response) => {
      const id = idOf(request.params.id);
      const bytes: unknown = request.body;
      if (!Buffer.isBuffer(bytes) || !isPlainJpeg(bytes)) {
        throw new Refusal('invalid', {
          fields: [
            {
              path: '/',
              code: 'notAPhoto',
              message:
                'Expected a JPEG that is nothing but a picture: no EXIF, no comments, nothing behind its end, at most 50 million pixels',
            },
          ],
        });
      }
      await keepPhoto(pool, store, request.ownerId, { id: id, bytes, createdAt: new Date() });
      response.status(204).end();
    },
  );
  return router;
}
