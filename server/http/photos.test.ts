import sharp from 'sharp';
import { v4 as anyId } from 'uuid';
import { people, startTestServer, type TestServer } from '../testing/test-server';

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

describe('what is no photo', () => {
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
