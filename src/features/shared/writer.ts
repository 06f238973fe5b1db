/** The request header that names who made a write, so that it is never done under another member's session. */
export const WRITER_HEADER = 'x-jiten-writer';
