<script lang="ts">
	import Bold from '@lucide/svelte/icons/bold';
	import Italic from '@lucide/svelte/icons/italic';
	import List from '@lucide/svelte/icons/list';
	import ListOrdered from '@lucide/svelte/icons/list-ordered';
	import { onMount } from 'svelte';
	import type { Editor } from '@tiptap/core';
	import { htmlOfText } from '$core/text/html';

	/** A text that can be set: bold, italic, lists. Without scripts it is a plain field of the name `body`. */
	interface Props {
		/** What it begins with, as HTML. */
		html: string;
		label: string;
		placeholder: string;
		/** Sent as `html`. */
		value: string;
		/** What it begins with without scripts. */
		text?: string;
		/** Lines of it that are seen at once. */
		rows?: number;
		/** Larger type, for what is read as a letter. */
		large?: boolean;
	}
	let { html, label, placeholder, value = $bindable(), text = '', rows = 2, large = false }: Props = $props();

	let box: HTMLElement | undefined = $state();
	let editor: Editor | null = $state.raw(null);
	/** Counts what happens in the editor, so that buttons show what holds at the cursor. */
	let turn = $state(0);
	let empty = $state(true);
	/** What was typed before the editor was there: it begins with that. */
	// svelte-ignore state_referenced_locally
	let plain = $state(text);
	let field: HTMLTextAreaElement | undefined = $state();

	onMount(() => {
		let gone = false;
		void (async () => {
			// The editor is large and on this page alone.
			const [{ Editor: Made }, { StarterKit }] = await Promise.all([
				import('@tiptap/core'),
				import('@tiptap/starter-kit')
			]);
			if (gone || !box) return;
			editor = new Made({
				element: box,
				// Styles come from our own sheet alone.
				injectCSS: false,
				content: plain !== text ? htmlOfText(plain) : html,
				autofocus: document.activeElement === field ? 'end' : false,
				extensions: [
					StarterKit.configure({ heading: { levels: [3] }, code: false, codeBlock: false, link: false })
				],
				editorProps: {
					attributes: {
						role: 'textbox',
						'aria-multiline': 'true',
						'aria-label': label,
						class: [
							'rich textarea h-auto w-full',
							large ? 'min-h-60 text-[15px]' : 'textarea-sm min-h-16'
						].join(' ')
					}
				},
				onTransaction: ({ editor: now }) => {
					turn++;
					empty = now.isEmpty;
					value = now.isEmpty ? '' : now.getHTML();
				}
			});
			empty = editor.isEmpty;
			value = empty ? '' : editor.getHTML();
		})();
		return () => {
			gone = true;
			editor?.destroy();
		};
	});

	const TOOLS = [
		{ name: 'Bold', mark: 'bold', icon: Bold, run: (e: Editor) => e.chain().focus().toggleBold().run() },
		{
			name: 'Italic',
			mark: 'italic',
			icon: Italic,
			run: (e: Editor) => e.chain().focus().toggleItalic().run()
		},
		{
			name: 'List',
			mark: 'bulletList',
			icon: List,
			run: (e: Editor) => e.chain().focus().toggleBulletList().run()
		},
		{
			name: 'Numbered list',
			mark: 'orderedList',
			icon: ListOrdered,
			run: (e: Editor) => e.chain().focus().toggleOrderedList().run()
		}
	];
	const isOn = (mark: string): boolean => turn >= 0 && (editor?.isActive(mark) ?? false);
</script>

<div class="flex flex-col gap-1">
	{#if editor}
		<div class="flex gap-0.5" role="toolbar" aria-label="How the text is set">
			{#each TOOLS as tool (tool.name)}
				<button
					type="button"
					class={['btn btn-xs', isOn(tool.mark) ? 'btn-outline' : 'btn-ghost']}
					aria-label={tool.name}
					aria-pressed={isOn(tool.mark)}
					onclick={() => editor && tool.run(editor)}><tool.icon size={14} aria-hidden="true" /></button
				>
			{/each}
		</div>
	{:else}
		<textarea
			bind:this={field}
			bind:value={plain}
			name="body"
			{rows}
			maxlength="4000"
			class={['textarea w-full', large ? 'text-[15px]' : 'textarea-sm']}
			aria-label={label}
			{placeholder}></textarea>
	{/if}
	<div class="relative">
		<div bind:this={box}></div>
		{#if editor && empty}<span class="quiet pointer-events-none absolute top-1.5 left-3" aria-hidden="true"
				>{placeholder}</span
			>{/if}
	</div>
	{#if editor}<input type="hidden" name="html" {value} />{/if}
</div>
