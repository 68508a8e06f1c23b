/** What was sent to the server, as far as a test looks at it. */
interface Sent {
  readonly what: string;
  readonly body: unknown;
}

/** An answer with a status of its own; anything else that is given is the body of a 200. */
export class Answer {
  readonly status: number;
  readonly body: unknown;

  constructor(status: number, body: unknown) {
    this.status = status;
    this.body = body;
  }
}

/** A refusal as the server words it. */
export function refusal(status: number, code: string, detail: string, more: Record<string, unknown> = {}): Answer {
  return new Answer(status, { code, detail, remedy: 'Do it otherwise.', status, ...more });
}

type Handler = (body: unknown) => unknown;
/** Answers by method and path, such as `GET /api/session`; `*` stands for an id. A function is given what was sent. */
export type Answers = Readonly<Record<string, unknown>>;

export interface FakeApi {
  /** Everything that was sent with another method than GET, in order. */
  readonly sent: readonly Sent[];
  /** Requests nobody gave an answer for. */
  readonly unanswered: readonly string[];
  readonly answer: (more: Answers) => void;
}

const JSON_TYPE = { 'content-type': 'application/json' };

function isHandler(answer: unknown): answer is Handler {
  return typeof answer === 'function';
}

let current: (request: Request) => Promise<Response> = () => Promise.reject(new TypeError('no server'));

/** What the pages fetch with: whichever stand-in for the server was made last. */
export function fetchFromFake(input: RequestInfo | URL, init?: RequestInit): Promise<Response> {
  return current(input instanceof Request ? input : new Request(input, init));
}

/** Stands in for the server with a table of answers. Whatever the table has not is a 404 that a test can see. */
export function fakeApi(first: Answers): FakeApi {
  const answers: Record<string, unknown> = { ...first };
  const sent: Sent[] = [];
  const unanswered: string[] = [];
  current = async (request) => {
    const { pathname, search } = new URL(request.url);
    const text = await request.text();
    const isJson = request.headers.get('content-type')?.includes('json') ?? false;
    const body: unknown = text === '' ? undefined : isJson ? JSON.parse(text) : text;
    const what = `${request.method} ${pathname}`;
    if (request.method !== 'GET') sent.push({ what, body });
    const key = [`${what}${search}`, what, `${what.slice(0, what.lastIndexOf('/') + 1)}*`].find(
      (one) => one in answers,
    );
    if (key === undefined) unanswered.push(`${what}${search}`);
    const found = key === undefined ? refusal(404, 'NOT_FOUND', 'There is no such thing.') : answers[key];
    const given: unknown = await (isHandler(found) ? found(body) : found);
    const { status, body: answer } = given instanceof Answer ? given : new Answer(200, given);
    if (answer === undefined) return new Response(null, { status: 204 });
    return new Response(JSON.stringify(answer), { status, headers: JSON_TYPE });
  };
  return {
    sent,
    unanswered,
    answer: (more) => {
      Object.assign(answers, more);
    },
  };
}
