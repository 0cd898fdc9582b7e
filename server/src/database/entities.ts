import { defineEntity, p, type InferEntity } from '@mikro-orm/core';
import type { FactType } from '@idle-marker/contract';

export const Site = defineEntity({
  name: 'Site',
  tableName: 'site',
  properties: {
    id: p.uuid().primary(),
    createdAt: p.datetime().fieldName('created_at'),
  },
});

/** One row a fact; rows are never changed or taken away (the database refuses both). */
export const FactRow = defineEntity({
  name: 'FactRow',
  tableName: 'fact',
  properties: {
    id: p.uuid().primary(),
    /** Order of arrival: the cursor that clients read on from. */
    received: p.bigint('number'),
    site: () => p.manyToOne(Site).fieldName('site_id'),
    type: p.string().$type<FactType>(),
    at: p.datetime(),
    device: p.string(),
    seq: p.bigint('number'),
    by: p.uuid().fieldName('by_id').nullable(),
    body: p.json<object>(),
    digest: p.string(),
    receivedAt: p.datetime().fieldName('received_at'),
    orderedAt: p.datetime().fieldName('ordered_at').nullable(),
  },
});

/** A sheet as issued: number and revision are given here, the contents are frozen. */
export const SheetRow = defineEntity({
  name: 'SheetRow',
  tableName: 'sheet',
  properties: {
    id: p.uuid().primary(),
    site: () => p.manyToOne(Site).fieldName('site_id'),
    number: p.integer(),
    revision: p.integer(),
    content: p.json<object>(),
    issuedAt: p.datetime().fieldName('issued_at'),
  },
});

export type ISite = InferEntity<typeof Site>;
export type IFactRow = InferEntity<typeof FactRow>;
export type ISheetRow = InferEntity<typeof SheetRow>;
