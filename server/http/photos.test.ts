import { faultOf, instanceOf, makeRig, signature, walkSound } from '@nazar/core/testing';
import sharp from 'sharp';
import { v4 as anyId } from 'uuid';
import { asWalkOf, people, startTestServer, type TestServer } from '../testing/test-server';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.close());

const inspection = anyId();
const picture = (width: number, height: number) =>
  sharp({ create: { width, height, channels: 3, background: '#2a4' } });

async function put(bytes: Buffer, id = anyId(), type = 'image/jpeg') {
  const agent = await server.as(people.imre);
  return agent
    .put(`/api/photos/${id}?inspection=${inspection}`)
    .set('Content-Type', type)
    .send(bytes);
}

async function get(id: string, who = people.imre) {
  const agent = await server.as(who);
  return agent.get(`/api/photos/${id}`).buffer(true);
}

describe('a photo', () => {
  it('is encoded anew: upright, at most 1600 px, and without what the camera wrote', async () => {
    const id = anyId();
    const sideways = await picture(3000, 2000)
      .withMetadata({ orientation: 6 })
      .withExif({ IFD0: { Copyright: 'secret place' } })
      .jpeg()
      .toBuffer();
    expect((await put(sideways, id)).status).toBe(204);
    const kept = (await get(id)).body as Buffer;
    const meta = await sharp(kept).metadata();
    expect([meta.width, meta.height]).toEqual([1067, 1600]);
    expect(meta.exif).toBeUndefined();
    expect(kept.toString('latin1')).not.toContain('secret place');
  });

  it('may be of another kind of picture', async () => {
    const id = anyId();
    expect((await put(await picture(40, 30).png().toBuffer(), id, 'image/png')).status).toBe(204);
    expect((await get(id)).headers['content-type']).toBe('image/jpeg');
  });

  it('sent again changes nothing', async () => {
    const id = anyId();
    await put(await picture(40, 30).jpeg().toBuffer(), id);
    const first = (await get(id)).body as Buffer;
    expect((await put(await picture(90, 90).jpeg().toBuffer(), id)).status).toBe(204);
    expect(((await get(id)).body as Buffer).equals(first)).toBe(true);
  });

  it('is seen by nobody of another organisation', async () => {
    const id = anyId();
    await put(await picture(40, 30).jpeg().toBuffer(), id);
    expect((await get(id, people.stranger)).status).toBe(404);
  });
});

describe('whose photo it is', () => {
  const rig = makeRig();
  const nuts = instanceOf(rig, 'wheel.nuts/steer-left');

  /** A walk of Imre's, not sent yet, on which a fault has this picture. */
  function walkWithPhoto(id: string) {
    const log = walkSound(rig);
    const photos = [{ id, width: 40, height: 30 }];
    log.add('faulted', faultOf(nuts, 'nut-streak', { photos }));
    log.add('signed', { signature, headline: 'limits' });
    return asWalkOf(people.imre, log.events);
  }
  const send = async (who: typeof people.imre, id: string, walk: string, color: string) => {
    const bytes = await sharp({
      create: { width: 40, height: 30, channels: 3, background: color },
    })
      .jpeg()
      .toBuffer();
    const agent = await server.as(who);
    return agent
      .put(`/api/photos/${id}?inspection=${walk}`)
      .set('Content-Type', 'image/jpeg')
      .send(bytes);
  };
  const sealedHash = async (walk: string) => {
    const agent = await server.as(people.imre);
    const { body } = await agent.get(`/api/reports/${walk}`).expect(200);
    return JSON.stringify(body.report).match(/"sha256":"([0-9a-f]+)"/)?.[1];
  };
  const red = async (id: string) => {
    const { channels } = await sharp((await get(id)).body as Buffer).stats();
    return channels[0].mean > 128;
  };

  it('a stranger’s, sent first under its id, is not sealed and gives way to the driver’s own', async () => {
    const id = anyId();
    const events = walkWithPhoto(id);
    const walk = events[0].inspectionId;
    expect((await send(people.tove, id, walk, '#00f')).status).toBe(204);
    await server.send(people.imre, events);
    expect(await sealedHash(walk)).toBeUndefined();
    expect((await send(people.imre, id, walk, '#f00')).status).toBe(204);
    expect(await red(id)).toBe(true);
  });

  it('a stranger’s, sent after it, changes nothing and says so', async () => {
    const id = anyId();
    const events = walkWithPhoto(id);
    const walk = events[0].inspectionId;
    expect((await send(people.imre, id, walk, '#f00')).status).toBe(204);
    await server.send(people.imre, events);
    expect(await sealedHash(walk)).toMatch(/^[0-9a-f]{64}$/);
    const answer = await send(people.tove, id, walk, '#00f');
    expect([answer.status, answer.body.code]).toEqual([409, 'not-your-picture']);
    expect(await red(id)).toBe(true);
  });

  it('an id of another organisation is not taken over', async () => {
    const id = anyId();
    expect((await send(people.imre, id, anyId(), '#f00')).status).toBe(204);
    expect((await send(people.stranger, id, anyId(), '#00f')).status).toBe(409);
    expect(await red(id)).toBe(true);
  });
});

describe('what is no photo', () => {
  it('a line of millions of columns is refused before it is drawn', async () => {
    const line = await picture(40_000, 1).png().toBuffer();
    const answer = await put(line, anyId(), 'image/png');
    expect([answer.status, answer.body.code]).toEqual([422, 'not-a-picture']);
  });

  it.each([
    ['a text', Buffer.from('hello')],
    ['nothing', Buffer.alloc(0)],
    ['a web page in disguise', Buffer.from('<svg onload="alert(1)">')],
    ['half a picture', Buffer.from('ffd8ffe000104a464946000101', 'hex')],
  ])('%s is refused with a sentence', async (_, bytes) => {
    const answer = await put(bytes);
    expect(answer.status).toBe(422);
    expect(answer.body.code).toBe('not-a-picture');
    expect(answer.body.detail).toMatch(/Take the photo again/);
  });

  it('a huge file is refused before it is read', async () => {
    const answer = await put(Buffer.alloc(9 * 1024 * 1024));
    expect(answer.status).toBe(413);
    expect(answer.body.code).toBe('too-large');
  });

  it('a small file that would unfold to a huge picture is refused', async () => {
    const bomb = await picture(12_000, 8_000).png({ compressionLevel: 9 }).toBuffer();
    expect((await put(bomb, anyId(), 'image/png')).status).toBe(422);
  });

  it('a name that is no identifier is refused', async () => {
    const agent = await server.as(people.imre);
    await agent.put(`/api/photos/abc?inspection=${inspection}`).send('x').expect(422);
    await agent.put(`/api/photos/${anyId()}`).send('x').expect(422);
  });
});
