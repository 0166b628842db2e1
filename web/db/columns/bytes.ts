/** Bytes as they are: a picture, packed already. */
import { customType } from 'drizzle-orm/pg-core';

export const bytes = customType<{ data: Uint8Array<ArrayBuffer>; driverData: Buffer }>({
  dataType: () => 'bytea',
  toDriver: (data) => Buffer.from(data),
  fromDriver: (stored) => new Uint8Array(stored),
});
