import request from 'supertest';
import { people, PIN, startTestServer, type TestServer } from '../testing/test-server';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.close());
beforeEach(() => server.owner('rate_counters').delete());

const signIn = (name: string, pin: string) =>
  request(server.app).post('/api/session').send({ name, pin });

describe('signing in', () => {
  it('takes name and PIN and says who it is', async () => {
    const answer = await signIn('Imre Dahl', PIN).expect(200);
    expect(answer.body.person).toEqual({
      id: people.imre.id,
      name: 'Imre Dahl',
      role: 'driver',
      depotId: people.imre.depotId,
      organisationId: people.imre.organisationId,
    });
  });

  it('does not mind case and spaces in a name', async () => {
    await signIn('  imre   DAHL ', PIN).expect(200);
  });

  it('sets a cookie that scripts and other sites cannot use', async () => {
    const answer = await signIn('Imre Dahl', PIN);
    const cookies = answer.headers['set-cookie'] as unknown as string[];
    expect(cookies.map((each) => each.split('=')[0])).toEqual(['nazar_device', 'nazar_session']);
    for (const cookie of cookies) {
      expect(cookie).toMatch(/HttpOnly/);
      expect(cookie).toMatch(/SameSite=Strict/);
    }
  });

  it('keeps neither PIN nor token in the clear', async () => {
    const answer = await signIn('Imre Dahl', PIN);
    const cookies = answer.headers['set-cookie'] as unknown as string[];
    const rows = JSON.stringify([
      await server.owner('sign_ins').select(),
      await server.owner('sessions').select(),
      await server.owner('known_devices').select(),
      await server.owner('rate_counters').select(),
    ]);
    for (const cookie of cookies) {
      const token = /=([\w-]{30,})/.exec(cookie)?.[1];
      expect(token).toBeDefined();
      expect(rows).not.toContain(token);
    }
    expect(rows).toContain('$argon2id$');
  });

  it('answers a wrong PIN and an unknown name alike', async () => {
    const wrong = await signIn('Tove Brask', '9999').expect(401);
    const unknown = await signIn('Nobody Atall', '9999').expect(401);
    expect(wrong.body).toEqual(unknown.body);
    expect(wrong.body).toMatchObject({ code: 'wrong-pin', status: 401 });
    expect(wrong.headers['content-type']).toMatch(/problem\+json/);
  });

  it('locks after five wrong tries, and then refuses the right PIN too', async () => {
    for (let tries = 0; tries < 4; tries += 1) await signIn('Jonah Sterk', '0000').expect(401);
    const fifth = await signIn('Jonah Sterk', '0000').expect(423);
    expect(fifth.body.detail).toMatch(/15 min/);
    const right = await signIn('Jonah Sterk', PIN).expect(423);
    expect(right.headers['retry-after']).toMatch(/^\d+$/);
    await server.owner('rate_counters').update({ reset_at: new Date(Date.now() - 1000) });
    await signIn('Jonah Sterk', PIN).expect(200);
  });

  it('counts tries side by side, each of them', async () => {
    const answers = await Promise.all(
      Array.from({ length: 8 }, () => signIn('Henk Lorring', '0000')),
    );
    expect(answers.filter(({ status }) => status === 401).length).toBeLessThan(5);
    await signIn('Henk Lorring', PIN).expect(423);
  });

  it('forgets wrong tries after a right one', async () => {
    for (let tries = 0; tries < 4; tries += 1) await signIn('Imre Dahl', '0000').expect(401);
    await signIn('Imre Dahl', PIN).expect(200);
    await signIn('Imre Dahl', '0000').expect(401);
    await signIn('Imre Dahl', PIN).expect(200);
  });

  it('answers a name that nobody has like any other, also once it is locked', async () => {
    for (let tries = 0; tries < 4; tries += 1) await signIn('Nobody Atall', '0000').expect(401);
    const unknown = await signIn('Nobody Atall', '0000').expect(423);
    for (let tries = 0; tries < 4; tries += 1) await signIn('Tove Brask', '0000').expect(401);
    const known = await signIn('Tove Brask', '0000').expect(423);
    expect(unknown.body).toEqual(known.body);
  });

  it('lets nobody be locked out of a phone on which they have signed in before', async () => {
    const phone = request.agent(server.app);
    await phone.post('/api/session').send({ name: 'Imre Dahl', pin: PIN }).expect(200);
    await phone.delete('/api/session').expect(204);
    for (let tries = 0; tries < 6; tries += 1) await signIn('Imre Dahl', '0000');
    await signIn('Imre Dahl', PIN).expect(423);
    await phone.post('/api/session').send({ name: 'Imre Dahl', pin: PIN }).expect(200);
    // Its own wrong tries count as anywhere.
    for (let tries = 0; tries < 4; tries += 1)
      await phone.post('/api/session').send({ name: 'Imre Dahl', pin: '0000' }).expect(401);
    await phone.post('/api/session').send({ name: 'Imre Dahl', pin: '0000' }).expect(423);
    // A phone that knows one person knows no other.
    await server.owner('rate_counters').delete();
    for (let tries = 0; tries < 5; tries += 1) await signIn('Tove Brask', '0000');
    await phone.post('/api/session').send({ name: 'Tove Brask', pin: PIN }).expect(423);
  });

  it('does not count those who sign in rightly from one address', async () => {
    for (let tries = 0; tries < 25; tries += 1) await signIn('Imre Dahl', PIN).expect(200);
  });

  it('lets a whole yard sign in at the same moment behind one address', async () => {
    const answers = await Promise.all(
      Array.from({ length: 40 }, (_, index) =>
        signIn(index % 2 === 0 ? 'Jonah Sterk' : 'Henk Lorring', PIN),
      ),
    );
    expect([...new Set(answers.map(({ status }) => status))]).toEqual([200]);
  });

  it('lets nobody get past by trying many names side by side', async () => {
    const answers = await Promise.all(
      Array.from({ length: 80 }, (_, index) => signIn(`Side ${index}`, '1234')),
    );
    const looked = answers.filter(({ status }) => status === 401).length;
    expect(looked).toBeGreaterThanOrEqual(20);
    expect(looked).toBeLessThanOrEqual(24);
  });

  it('refuses what a page of another site sends, and nothing of its own', async () => {
    const from = (origin: string) =>
      request(server.app)
        .post('/api/session')
        .set('Host', 'nazar.test')
        .set('Origin', origin)
        .send({ name: 'Imre Dahl', pin: PIN });
    const answer = await from('https://elsewhere.test').expect(403);
    expect(answer.body).toMatchObject({ code: 'other-origin' });
    await from('null').expect(403);
    await from('https://nazar.test').expect(200);
  });

  it('slows down who tries many names from one place', async () => {
    for (let tries = 0; tries < 20; tries += 1) await signIn(`Name ${tries}`, '1234').expect(401);
    const answer = await signIn('Imre Dahl', PIN).expect(429);
    expect(answer.body).toMatchObject({ code: 'too-many' });
  });

  it.each([
    [{ name: 'Imre Dahl' }, /PIN/],
    [{ pin: PIN }, /name/],
    [{ name: 'Imre Dahl', pin: 'abcd' }, /digits/],
    [{ name: 'x'.repeat(81), pin: PIN }, /longer than/],
    [{ name: 'a\u0000b', pin: PIN }, /cannot be stored/],
    [{ name: ['Imre'], pin: PIN }, /name/],
  ])('says what is missing in %p', async (body, words) => {
    const answer = await request(server.app).post('/api/session').send(body).expect(422);
    expect(answer.body.detail).toMatch(words);
  });
});

describe('a session', () => {
  it('is known by its cookie and gone after signing out', async () => {
    const agent = request.agent(server.app);
    await agent.post('/api/session').send({ name: 'Imre Dahl', pin: PIN }).expect(200);
    const known = await agent.get('/api/session').expect(200);
    expect(known.body.person.name).toBe('Imre Dahl');
    await agent.delete('/api/session').expect(204);
    await agent.get('/api/session').expect(401);
  });

  it('runs out, and says that nothing is lost', async () => {
    const agent = request.agent(server.app);
    await agent.post('/api/session').send({ name: 'Imre Dahl', pin: PIN }).expect(200);
    await server.owner('sessions').update({ expires_at: new Date(Date.now() - 1000) });
    const answer = await agent.post('/api/events').send({ events: [] }).expect(401);
    expect(answer.body).toMatchObject({ code: 'sign-in-needed' });
    expect(answer.body.detail).toMatch(/kept on this device/);
  });

  it('is not made up', async () => {
    await request(server.app)
      .get('/api/session')
      .set('Cookie', 'nazar_session=made-up')
      .expect(401);
  });
});

describe('where somebody is signed in', () => {
  it('is listed, this device named, and another one is ended from here', async () => {
    const signedIn = async () => {
      const agent = request.agent(server.app);
      await agent.post('/api/session').send({ name: 'Tove Brask', pin: PIN }).expect(200);
      return agent;
    };
    const here = await signedIn();
    const lost = await signedIn();
    const { body } = await here.get('/api/sessions').expect(200);
    const other = body.sessions.find((each: { here: boolean }) => !each.here);
    expect(body.sessions.filter((each: { here: boolean }) => each.here)).toHaveLength(1);
    await lost.get('/api/session').expect(200);
    for (const { id, here: isHere } of body.sessions)
      if (!isHere) await here.delete(`/api/sessions/${id}`).expect(204);
    await lost.get('/api/session').expect(401);
    await here.get('/api/session').expect(200);
    await here.delete(`/api/sessions/${other.id}`).expect(404);
  });

  it('is nobody else’s to end', async () => {
    const tove = await server.as(people.tove);
    const { body } = await tove.get('/api/sessions').expect(200);
    expect(body.sessions.length).toBeGreaterThan(0);
    const imre = await server.as(people.imre);
    await imre.delete(`/api/sessions/${body.sessions[0].id}`).expect(404);
    await tove.get('/api/session').expect(200);
  });
});

describe('what is sent badly', () => {
  it('broken JSON is a sentence, not a stack', async () => {
    const answer = await request(server.app)
      .post('/api/session')
      .set('Content-Type', 'application/json')
      .send('{"name": ')
      .expect(400);
    expect(answer.body).toMatchObject({ code: 'not-json' });
    expect(JSON.stringify(answer.body)).not.toMatch(/\bat \w+ \(|node_modules|SyntaxError/);
  });

  it('a body of many megabytes is too large', async () => {
    const answer = await request(server.app)
      .post('/api/session')
      .send({ name: 'x'.repeat(5_000_000), pin: PIN })
      .expect(413);
    expect(answer.body.code).toBe('too-large');
  });

  it('an unknown address is not found', async () => {
    await request(server.app).get('/nothing/here.txt').expect(404);
    const agent = await server.as(people.imre);
    await agent.get('/api/nothing').expect(404);
  });
});
