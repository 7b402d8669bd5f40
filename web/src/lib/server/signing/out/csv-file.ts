/** Open CSV as an answer to be saved. */
export const csvFile = (name: string, text: string): Response =>
	new Response(`${text}\r\n`, {
		headers: {
			'content-type': 'text/csv; charset=utf-8',
			'content-disposition': `attachment; filename="${name}"`
		}
	});
