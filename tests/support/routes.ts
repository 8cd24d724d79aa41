import { readdirSync, readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';

/** A route of the application, found in the files that make it. */
export interface Route {
	/** As SvelteKit names it: `/(coach)/c/[challenge]/roll`. */
	id: string;
	/** Whether a page answers there. */
	page: boolean;
	/** Methods that an endpoint takes. */
	methods: string[];
	/** Names of the form actions of its page; `default` for one without a name. */
	actions: string[];
	/** Names of what it takes after a question mark. */
	asks: string[];
	/** Names of its parameters. */
	params: string[];
}

const ROOT = join(process.cwd(), 'src', 'routes');
const textOf = (path: string): string => readFileSync(path, 'utf8');

/** Every route, by its id. */
export function allRoutes(): Route[] {
	const files = readdirSync(ROOT, { recursive: true, withFileTypes: true })
		.filter((entry) => entry.isFile())
		.map((entry) => join(entry.parentPath, entry.name).slice(ROOT.length + 1));
	const ids = new Set(files.filter((file) => /\+(page|server)\b/.test(file)).map((file) => dirname(file)));
	return [...ids].sort().map((folder) => {
		const has = (name: string) => files.includes(join(folder, name));
		const page = has('+page.server.ts') ? textOf(join(ROOT, folder, '+page.server.ts')) : '';
		const server = has('+server.ts') ? textOf(join(ROOT, folder, '+server.ts')) : '';
		const actions = /export const actions[^=]*=\s*\{([^]*?)\n\};/.exec(page)?.[1] ?? '';
		return {
			id: folder === '.' ? '/' : `/${folder}`,
			page: has('+page.svelte') || has('+page.server.ts'),
			methods: [...server.matchAll(/export const (GET|POST|PUT|PATCH|DELETE)\b/g)].map(
				([, method]) => method!
			),
			actions: [...actions.matchAll(/^\t(\w+):/gm)].map(([, name]) => name!),
			asks: [...(page + server).matchAll(/searchParams\.get\('(\w+)'\)/g)].map(([, name]) => name!),
			params: [...folder.matchAll(/\[(\w+)\]/g)].map(([, name]) => name!)
		};
	});
}

/** The address of a route with values for its parameters. */
export const addressOf = (route: Route, values: Readonly<Record<string, string>>): string =>
	route.id
		.replace(/\/\([^)]+\)/g, '')
		.replace(/\[(\w+)\]/g, (_, name: string) => encodeURIComponent(values[name] ?? 'nothing')) || '/';
