import type { components } from './schema.generated';

/** What the server refused, with its code and a sentence for people. */
export class Problem extends Error {
    /** It was asked for long before it was refused: whoever asked may look elsewhere by now, so that it stays until it was read. */
    late = false;

    constructor(
        readonly status: number,
        readonly code: string,
        sentence: string,
        readonly elements: string[] = [],
        readonly details: Record<string, unknown> = {},
    ) {
        super(sentence);
    }

    static from(body: unknown, status: number): Problem {
        const given = (typeof body === 'object' && body !== null ? body : {}) as Partial<components['schemas']['Problem']>;
        if (!given.code) return Problem.away();
        return new Problem(status, given.code, given.title ?? 'The server did not answer as expected.', given.elements, given.details);
    }

    /** No answer, or none of ours: whether anything was done is not known. */
    static away(): Problem {
        return new Problem(0, 'server.unreachable', 'The server cannot be reached just now.');
    }
}
