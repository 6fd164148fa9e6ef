import { fileOfPages } from '$lib/server/book-file.ts';

export const GET = fileOfPages('sauce');
