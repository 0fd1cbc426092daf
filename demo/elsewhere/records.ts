/** A system for records: boxes in shadow trees, open and closed, in frames, and one that its page writes anew while one types. */
class RecordNote extends HTMLElement {
  connectedCallback() {
    const tree = this.attachShadow({ mode: this.id === 'closed' ? 'closed' : 'open' });
    tree.innerHTML = `<p><label>Note (${this.id})<br><textarea rows="3" aria-label="Note (${this.id})"></textarea></label></p>
      <div contenteditable="true" role="textbox" aria-label="Remark (${this.id})"><br></div>`;
    // For tests: a closed tree lets nobody else look.
    Object.assign(window, {
      [`words_${this.id}`]: () => tree.querySelector('textarea')!.value,
      [`remark_${this.id}`]: () => tree.querySelector('div')!.innerText,
    });
  }
}
customElements.define('record-note', RecordNote);

const rewritten = document.getElementById('rewritten') as HTMLTextAreaElement;
rewritten.addEventListener('input', () => {
  const { selectionStart, selectionEnd } = rewritten;
  // As some pages do: the box is given its own words once more, after each key.
  const value = rewritten.value.replace(/ {2,}/g, ' ');
  rewritten.value = '';
  rewritten.value = value;
  rewritten.setSelectionRange(selectionStart, selectionEnd);
});

const made = document.getElementById('made') as HTMLIFrameElement;
made.srcdoc = '<!doctype html><title>Remarks</title><textarea aria-label="Remarks" rows="4"></textarea>';
