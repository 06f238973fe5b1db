/** A PDF that the browser shows. */
export function pdfAnswer(pdf: Buffer, name: string): Response {
  return new Response(new Uint8Array(pdf), {
    headers: {
      'Content-Type': 'application/pdf',
      'Content-Disposition': `inline; filename="${name}.pdf"`,
    },
  });
}

/** Where the application is reached, as its visitor sees it: "https://studio.example". */
export function originOf(request: Request): string {
  const url = new URL(request.url);
  const proto = request.headers.get('x-forwarded-proto') ?? url.protocol.replace(':', '');
  return `${proto}://${request.headers.get('host') ?? url.host}`;
}
