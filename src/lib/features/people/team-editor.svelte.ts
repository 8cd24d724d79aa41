/** Teams and buddies as they are being put together: by hand, or proposed; saved as a whole. */
import {
	brokenIn,
	divideInto,
	outside,
	pairBuddies,
	type Mate,
	type TeamWay,
	type TeamWish
} from '$core/people';
import { History } from '$lib/ui/history.svelte';

export interface TeamDraft {
	name: string;
	people: string[];
}

export interface TeamsDraft {
	teams: TeamDraft[];
	buddies: string[][];
	wishes: TeamWish[];
}

const without = (people: readonly string[], id: string): string[] => people.filter((one) => one !== id);

export class TeamEditor extends History<TeamsDraft> {
	constructor(
		start: TeamsDraft,
		private readonly mates: () => readonly Mate[]
	) {
		super(start);
	}

	get teams(): TeamDraft[] {
		return this.state.teams;
	}
	get buddies(): string[][] {
		return this.state.buddies;
	}
	get wishes(): TeamWish[] {
		return this.state.wishes;
	}

	/** Those who are in no team. */
	readonly rest = $derived.by(() =>
		outside(
			this.everybody,
			this.state.teams.map(({ people }) => people)
		)
	);
	/** Those who have no buddy. */
	readonly alone = $derived.by(() => outside(this.everybody, this.state.buddies));
	/** Wishes that the teams as they are do not keep. */
	readonly broken = $derived.by(() =>
		brokenIn(
			this.state.teams.map(({ people }) => people),
			this.state.wishes
		)
	);

	private get everybody(): string[] {
		return this.mates().map(({ id }) => id);
	}

	private change(next: Partial<TeamsDraft>, what = ''): void {
		this.step({ ...this.state, ...next }, what);
	}

	/** A name that no team has. */
	private freeName(taken: readonly string[]): string {
		for (let n = taken.length + 1; ; n++) if (!taken.includes(`Team ${n}`)) return `Team ${n}`;
	}

	addTeam(): void {
		const name = this.freeName(this.teams.map((team) => team.name));
		this.change({ teams: [...this.teams, { name, people: [] }] });
	}
	/** Takes a team away; who was in it is in none. */
	removeTeam(at: number): void {
		this.change({ teams: this.teams.filter((_, i) => i !== at) });
	}
	rename(at: number, name: string): void {
		this.change({ teams: this.teams.map((team, i) => (i === at ? { ...team, name } : team)) }, `name ${at}`);
	}
	/** Puts somebody into a team. @param to its place in the list; null: into none */
	move(id: string, to: number | null): void {
		const teams = this.teams.map((team, i) => ({
			...team,
			people: i === to ? [...without(team.people, id), id] : without(team.people, id)
		}));
		if (JSON.stringify(teams) !== JSON.stringify(this.teams)) this.change({ teams });
	}

	/** Divides everybody anew; teams keep their names as far as there are so many. */
	divide(way: TeamWay, count: number, seed: string): void {
		const made = divideInto(this.mates(), way, { teams: count, seed, wishes: this.wishes });
		const names: string[] = [];
		const teams = made.teams.map((people, i) => {
			const name = this.teams[i]?.name ?? this.freeName(names);
			names.push(name);
			return { name, people };
		});
		this.change({ teams });
	}

	/** Pairs those who have no buddy, or everybody anew. */
	pair(who: 'alone' | 'everybody', seed: string): void {
		const all = who === 'everybody';
		const { alone } = this;
		const mates = this.mates().filter(({ id }) => all || alone.includes(id));
		const { teams } = pairBuddies(mates, { seed, wishes: this.wishes });
		this.change({ buddies: all ? teams : [...this.buddies, ...teams] });
	}
	/** Makes two people buddies; whom they had is left with the others of theirs. */
	join(one: string, other: string): void {
		const rest = this.buddies
			.map((group) => without(without(group, one), other))
			.filter((group) => group.length > 1);
		this.change({ buddies: [...rest, [one, other]] });
	}
	part(at: number): void {
		this.change({ buddies: this.buddies.filter((_, i) => i !== at) });
	}

	/** Wishes that two stay together or apart; of the same two the last wish holds. */
	wish(kind: TeamWish['kind'], one: string, other: string): void {
		if (one === other) return;
		const rest = this.wishes.filter(({ pair }) => !(pair.includes(one) && pair.includes(other)));
		this.change({ wishes: [...rest, { kind, pair: [one, other] }] });
	}
	unwish(at: number): void {
		this.change({ wishes: this.wishes.filter((_, i) => i !== at) });
	}
}
