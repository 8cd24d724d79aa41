import {
	lazy,
	object,
	string,
	type InferType,
	type Lazy,
	type ObjectSchema,
	type ObjectShape,
	type TypeFromShape
} from 'yup';

/** What one of several shapes comes to in types: the field that tells them apart, and the fields of that shape. */
export type OneOf<Key extends string, Shapes extends Record<string, ObjectShape>> = {
	[Name in keyof Shapes & string]: { [K in Key]: Name } & Fields<Shapes[Name]>;
}[keyof Shapes & string];
type Fields<Shape extends ObjectShape> = InferType<ObjectSchema<TypeFromShape<Shape, object>>>;

interface Variants {
	key: string;
	shapes: Readonly<Record<string, ObjectShape>>;
}
const variants = new WeakMap<object, Variants>();

/** The shapes behind a schema made by `byKind`; undefined for any other. For the published JSON Schema. */
export const variantsOf = (schema: object): Variants | undefined => variants.get(schema);

/**
 * An object of one of several shapes, told apart by a field: `{ kind: 'load', kg: 2 }`. Fields of another shape are
 * refused, and so is a name that there is none of, with those that there are. Shapes may be a function, if they are registered.
 */
export function byKind<Key extends string, Shapes extends Record<string, ObjectShape>>(
	key: Key,
	shapes: Shapes | (() => Shapes),
	missing = `${key} is missing`
): Lazy<OneOf<Key, Shapes>> {
	const current = typeof shapes === 'function' ? shapes : () => shapes;
	const memo = new Map<string, ObjectSchema<object>>();
	const schemaOf = (name: string, shape: ObjectShape) => {
		const known =
			memo.get(name) ?? object({ [key]: string().strict().oneOf([name]).required(), ...shape }).noUnknown();
		memo.set(name, known);
		return known;
	};
	const unknown = () =>
		object({
			[key]: string()
				.oneOf(
					Object.keys(current()),
					`there is no such ${key}; there are ${Object.keys(current()).join(', ')}`
				)
				.required(missing)
		}).required(missing);
	const schema = lazy((value: unknown) => {
		const name: unknown =
			typeof value === 'object' && value !== null && key in value ? Reflect.get(value, key) : null;
		const known = current();
		const shape = typeof name === 'string' && Object.hasOwn(known, name) ? known[name] : undefined;
		return shape ? schemaOf(name as string, shape) : unknown();
	});
	variants.set(schema, {
		key,
		get shapes() {
			return current();
		}
	});
	// Yup has no type for “one of these shapes”; this says what the code above makes sure of.
	return schema as unknown as Lazy<OneOf<Key, Shapes>>;
}

type OneField<Shapes extends Record<string, ObjectShape>> = {
	[Name in keyof Shapes & string]: Fields<Shapes[Name]>;
}[keyof Shapes & string];

const fields = new WeakMap<object, Readonly<Record<string, ObjectShape>>>();
/** The shapes behind a schema made by `byField`; undefined for any other. */
export const fieldShapesOf = (schema: object): Readonly<Record<string, ObjectShape>> | undefined =>
	fields.get(schema);

/** An object of one of several shapes, told apart by which field it has: the first shape whose name is a field of it. */
export function byField<Shapes extends Record<string, ObjectShape>>(
	shapes: Shapes,
	missing: string
): Lazy<OneField<Shapes>> {
	const made = Object.entries(shapes).map(([name, shape]) => ({ name, schema: object(shape).noUnknown() }));
	const none = object()
		.test('shape', missing, () => false)
		.required(missing);
	const schema = lazy((value: unknown) => {
		const has = (name: string) => typeof value === 'object' && value !== null && name in value;
		return made.find(({ name }) => has(name))?.schema ?? none;
	});
	fields.set(schema, shapes);
	return schema as unknown as Lazy<OneField<Shapes>>;
}
