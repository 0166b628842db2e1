/** A photo that is sent: two pictures of a form, each what it says it is and no larger than it may be. */
import { data } from 'react-router';
import { type Bytes, isPhoto, MOST_BYTES } from '../../db/photo-bytes.ts';

/**
 * The two pictures of a posted form.
 * @throws 422 with what is wrong with them
 */
export async function photoIn(form: FormData): Promise<{ photo: Bytes; thumb: Bytes }> {
  const read = async (name: 'photo' | 'thumb'): Promise<Bytes> => {
    const file = form.get(name);
    const bytes = file instanceof File ? new Uint8Array(await file.arrayBuffer()) : new Uint8Array();
    const most = MOST_BYTES[name];
    const refuse = (problem: object) =>
      data({ code: 'problems', problems: [{ path: `/${name}`, ...problem }] }, { status: 422 });
    if (bytes.length > most)
      throw refuse({ code: 'photoLarge', value: Math.ceil(bytes.length / 1000), max: most / 1000 });
    if (!isPhoto(bytes)) throw refuse({ code: 'notAPhoto' });
    return bytes;
  };
  return { photo: await read('photo'), thumb: await read('thumb') };
}
