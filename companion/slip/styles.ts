/** The look of Elderleaf's leaf and margin, for what is drawn on pages of others: faces of the system, since none may be fetched there. */
export const STYLES = `
:host { color-scheme: light dark; }
.slip, .beneath {
  --paper: #fbf8f1; --page: #fffdf8; --ink: #2a2230; --soft: #675d6c; --elder: #4b2a4f; --on-elder: #fbf8f1;
  --leaf: #3f6b46; --flower: #efe6c8; --rust: #9a4829; --hair: #ddd5c6; --rule: #8d8192;
  --book: 'Literata Variable', Literata, Georgia, 'Times New Roman', serif;
  --face: 'Figtree Variable', Figtree, system-ui, sans-serif;
  --mono: 'JetBrains Mono Variable', ui-monospace, monospace;
}
.slip {
  position: fixed; box-sizing: border-box; overflow: auto; display: flex; flex-direction: column;
  background: var(--paper); color: var(--ink); border: 1px solid var(--hair); border-radius: 3px;
  box-shadow: 0 6px 24px rgb(42 34 48 / 0.18);
  font: 14px/1.45 var(--face); text-align: start; letter-spacing: normal;
}
@media (prefers-color-scheme: dark) {
  .slip, .beneath {
    --paper: #1c1820; --page: #231e28; --ink: #ede7dc; --soft: #ada3b2; --elder: #d3b0d8; --on-elder: #241428;
    --leaf: #9cc9a3; --flower: #423a26; --rust: #eb9f7d; --hair: #3d3543; --rule: #8f8496;
  }
}
.slip * { box-sizing: border-box; }
[role='dialog'] { display: flex; flex-direction: column; min-height: 0; padding: 10px 14px 8px; outline: none; }
[role='dialog'] > * { flex: none; }
[role='dialog'] > .reading { flex: 0 1 auto; min-height: 66px; overflow: auto; }
header { display: flex; align-items: baseline; gap: 10px; }
h2 { flex: 1; margin: 0; font: 500 14px/1.3 var(--face); color: var(--soft); overflow-wrap: anywhere; }
.cue { font: 12.5px/1.3 var(--mono); color: var(--leaf); white-space: nowrap; }
.reading { margin: 8px -14px; padding: 6px 14px 14px; background: var(--page); border-block: 1px solid var(--hair); font: 16px/1.75 var(--book); overflow-wrap: anywhere; }
.reading p { margin: 0 0 6px; }
.reading .heading { font-weight: 600; }
.reading ul, .reading ol { margin: 0 0 6px; padding-left: 22px; }
.reading td { border: 1px solid var(--hair); padding: 2px 6px; }
.reading blockquote { margin: 0 0 6px; padding-left: 10px; border-left: 2px solid var(--hair); }
.blank { position: relative; border-bottom: 1.25px solid var(--rule); padding: 0 1px; cursor: pointer; white-space: pre-line; }
.blank small { position: absolute; left: 50%; top: calc(100% + 1px); transform: translateX(-50%); max-width: max(100%, 58px); overflow: hidden; text-overflow: ellipsis; white-space: nowrap; font: 500 10.5px/1.1 var(--face); color: var(--soft); }
.blank.gap { border-bottom: 2px solid var(--rust); }
.blank.gap small { color: var(--rust); }
.blank.current { background: var(--flower); border-bottom-color: var(--elder); }
.blank.current small { color: var(--elder); overflow: visible; }
.confirm { text-decoration: underline wavy var(--rust) 1px; text-underline-offset: 4px; }
.asked { margin: 6px 0 4px; font: 16px/1.35 var(--book); }
.help { margin: 2px 0; font-size: 12.5px; color: var(--soft); min-height: 18px; }
.problem { margin: 4px 0; font-size: 13px; color: var(--rust); }
.line, select { width: 100%; font: 15px/1.4 var(--face); color: var(--ink); background: var(--page); border: 1px solid var(--rule); border-radius: 2px; padding: 5px 8px; }
textarea.line { min-height: 66px; resize: vertical; }
select { width: auto; max-width: 220px; padding: 1px 4px; font-size: 13px; }
:focus-visible { outline: 2px solid var(--elder); outline-offset: 1px; }
.options { outline: none; }
.options button { display: flex; width: 100%; align-items: baseline; gap: 8px; border: 0; border-bottom: 1px solid var(--hair); background: none; padding: 4px 2px; text-align: left; color: inherit; font: 14px/1.4 var(--face); cursor: pointer; }
.options button:hover, .rows [aria-selected='true'] { background: var(--flower); }
.options [aria-checked='true'] { font-weight: 600; color: var(--elder); }
.options kbd { width: 34px; flex: none; text-align: right; border: 0; font: 12px/1.4 var(--mono); color: var(--soft); }
.options span:first-of-type { flex: 1; }
kbd { font: 11.5px/1.3 var(--face); color: var(--soft); border: 1px solid var(--hair); border-radius: 2px; padding: 0 4px; white-space: nowrap; }
.main kbd { color: inherit; border-color: currentColor; }
footer { display: flex; align-items: center; gap: 8px; margin-top: 10px; padding-top: 8px; border-top: 1px solid var(--hair); font-size: 12.5px; color: var(--soft); }
footer span { flex: 1; }
footer button, .selected, .wordings button, .text { border: 1px solid var(--hair); border-radius: 2px; background: none; color: var(--ink); font: 13px/1.4 var(--face); padding: 4px 8px; min-height: 26px; cursor: pointer; }
footer .main { background: var(--elder); border-color: var(--elder); color: var(--on-elder); }
.selected { margin-top: 4px; width: 100%; text-align: left; }
.selected q { font-family: var(--book); }
.wordings { display: flex; flex-wrap: wrap; gap: 6px; margin: 6px 0 0; }
.wordings [aria-pressed='true'] { border-color: var(--elder); color: var(--elder); font-weight: 600; }
.part-name { display: flex; gap: 10px; align-items: baseline; margin: 8px 0 0; font-size: 13px; color: var(--soft); }
.part-name b { color: var(--ink); font-weight: 600; }
.part .reading { padding-bottom: 10px; margin: 4px -14px 0; }
.outlined { position: fixed; border: 2px solid var(--elder); border-radius: 3px; pointer-events: none; }
.pointing footer { flex-wrap: wrap; }
.pointing p, .pointing ul { margin: 6px 0 0; padding: 0; list-style: none; }
.rows { list-style: none; margin: 6px -14px 0; padding: 0; max-height: 260px; overflow: auto; border-block: 1px solid var(--hair); }
.rows li { display: flex; flex-wrap: wrap; align-items: baseline; gap: 2px 10px; padding: 5px 14px; border-bottom: 1px solid var(--hair); cursor: pointer; }
.rows b { flex: 1; font: 500 15px/1.35 var(--book); overflow-wrap: anywhere; }
.rows .help { width: 100%; min-height: 0; margin: 0; overflow: hidden; text-overflow: ellipsis; white-space: nowrap; }
.offers { list-style: none; margin: 0; padding: 3px 0; }
.offers button { display: grid; grid-template-columns: auto 1fr auto; align-items: baseline; gap: 8px; width: 100%; border: 0; background: none; padding: 3px 10px; min-height: 26px; text-align: left; color: inherit; font: 14px/1.4 var(--face); cursor: pointer; }
.offers button:hover { background: var(--flower); }
.offers b { font-weight: 500; overflow-wrap: anywhere; }
.offers .cue { max-width: 96px; overflow: hidden; text-overflow: ellipsis; }
.said { margin: 0; padding: 10px 14px; }
@media (prefers-reduced-motion: no-preference) { .slip { animation: come 110ms ease-out; } @keyframes come { from { opacity: 0; } } }
`;
