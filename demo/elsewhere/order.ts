/** An order for the works, in boxes that Vue and Angular govern: what their models hold is what they heard of. */
import '@angular/compiler';
import { Component, provideZonelessChangeDetection } from '@angular/core';
import { FormControl, ReactiveFormsModule } from '@angular/forms';
import { bootstrapApplication } from '@angular/platform-browser';
import { createApp, h, ref, vModelText, withDirectives } from 'vue';

const wanted = ref('');
createApp({
  setup: () => () =>
    h('p', { class: 'field' }, [
      h('label', { for: 'wanted' }, `What is wanted: ${wanted.value.length} letters`),
      withDirectives(
        h('textarea', {
          id: 'wanted',
          rows: 3,
          'onUpdate:modelValue': (next: string) => (wanted.value = next),
        }),
        [[vModelText, wanted.value]],
      ),
    ]),
}).mount('#vue');

class Remark {
  readonly words = new FormControl('', { nonNullable: true });
}
// As a decorator does it: what compiles these pages knows none.
Component({
  selector: 'works-remark',
  imports: [ReactiveFormsModule],
  template: `<p class="field">
    <label for="remark">Remark: {{ words.value.length }} letters</label>
    <textarea id="remark" rows="3" [formControl]="words"></textarea>
  </p>`,
})(Remark);

const started = await bootstrapApplication(Remark, { providers: [provideZonelessChangeDetection()] });
const { words } = started.components[0]!.instance as Remark;
Object.assign(window, { held: { vue: () => wanted.value, angular: () => words.value } });
