import { mergedSettings } from '#core/difference';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import type { Collection, CollectionSettings } from '#contracts';
import { CUE_MAKING, type Cue, type CueMaking } from '#core/cue';
import { call, inWords } from '#client/api';
import { KEYS, queryClient, useBankIndex } from '../api';
import { ClosingKeys, CueRulesOf, MAKING_IN_WORDS } from '../cues';
import { KindsOfWorkField } from '../reach';
import { Button, Notice, Overtaken, SelectField, TextField, useUnsaved } from '../ui';
import { sameName } from './sameName';
import { languageName, LANGUAGES } from '#core/language';

const settingsOf = ({
  name,
  leadIn,
  cueRules,
  cuesBy,
  kindsOfWork,
  language,
  titles,
}: Collection): CollectionSettings => ({
  name,
  leadIn,
  cueRules,
  cuesBy,
  kindsOfWork,
  language,
  titles,
});

interface SettingsProps {
  settings: CollectionSettings;
  put: (change: Partial<CollectionSettings>) => void;
}

/** What a collection is called, what its cues begin with, and the language it is in. */
function NameSettings({ settings, put }: SettingsProps) {
  const languages = [...new Set([settings.language, ...LANGUAGES])];
  return (
    <div className="grid grid-cols-[minmax(0,1fr)_7rem_11rem] gap-5 max-[899px]:grid-cols-1">
      <TextField
        label="Name"
        value={settings.name}
        maxLength={80}
        onChange={({ target }) => put({ name: target.value })}
      />
      <TextField
        label="Lead-in"
        value={settings.leadIn}
        maxLength={4}
        className="font-cue"
        onChange={({ target }) => put({ leadIn: target.value })}
      />
      <SelectField
        label="Language"
        value={settings.language}
        onChange={({ target }) => put({ language: target.value })}
      >
        {languages.map((language) => (
          <option key={language} value={language}>
            {languageName(language)}
          </option>
        ))}
      </SelectField>
    </div>
  );
}

/** How the cues of a collection are, unless one says otherwise, and what new ones are made from. */
function CueSettings({ settings, put }: SettingsProps) {
  // The rules of a collection are told by the fields that tell those of one cue.
  const rules = {
    cue: { text: 'x', rules: settings.cueRules },
    collection: undefined,
    change: (next: Cue) => put({ cueRules: { ...settings.cueRules, ...next.rules } }),
  };
  return (
    <fieldset className="grid grid-cols-3 gap-x-5 gap-y-3 max-[899px]:grid-cols-1">
      <legend className="eyebrow">Usual rules for its cues</legend>
      <CueRulesOf {...rules} />
      <ClosingKeys {...rules} />
      <SelectField
        label="New cues are made from"
        value={settings.cuesBy}
        onChange={({ target }) => put({ cuesBy: target.value as CueMaking })}
      >
        {CUE_MAKING.map((one) => (
          <option key={one} value={one}>
            {MAKING_IN_WORDS[one]}
          </option>
        ))}
      </SelectField>
    </fieldset>
  );
}

interface Props {
  collection: Collection;
  /** Settings of an earlier version, to be saved anew. */
  broughtBack: CollectionSettings | null;
}

/** Saves what was set, as a change of the version that was looked at. */
function useSaving(
  collection: Collection,
  unsaved: ReturnType<typeof useUnsaved<CollectionSettings>>,
  reason: string,
  saved: () => void,
) {
  const { value: settings } = unsaved;
  return useMutation({
    mutationFn: () =>
      call('saveCollection', {
        params: { collection: collection.id },
        version: unsaved.version,
        // An earlier version that says nothing of titles had none.
        body: { ...settings, titles: settings.titles ?? '', reason },
      }),
    onSuccess: (now) => {
      unsaved.saved(settingsOf(now), now.version);
      saved();
      void queryClient.invalidateQueries({ queryKey: KEYS.bank });
    },
  });
}

/** What the keepers of a collection set: its name, how its cues are, what work and language it is for. */
export function CollectionSettingsForm({ collection, broughtBack }: Props) {
  const unsaved = useUnsaved(settingsOf(collection), collection.version, mergedSettings);
  const { value: settings } = unsaved;
  const put = (change: Partial<CollectionSettings>) => unsaved.set({ ...settings, ...change });
  const [reason, setReason] = useState('');
  const [taken, setTaken] = useState(broughtBack);
  if (taken !== broughtBack) {
    setTaken(broughtBack);
    if (broughtBack) unsaved.set(broughtBack);
  }
  const save = useSaving(collection, unsaved, reason, () => setReason(''));
  const alike = sameName(settings.name, useBankIndex()?.bank.collections ?? [], collection.id);
  return (
    <form
      aria-label="Settings"
      className="grid gap-5 px-9 py-5 max-[899px]:px-4"
      onSubmit={(event) => {
        event.preventDefault();
        save.mutate();
      }}
    >
      <NameSettings settings={settings} put={put} />
      {alike && (
        <p role="status" className="-mt-3 text-[13px] text-rust">
          {alike}
        </p>
      )}
      {settings.leadIn !== collection.leadIn && (
        <p className="-mt-3 text-[13px] text-rust">
          Every cue of this collection will begin with {settings.leadIn || 'nothing'}, from the moment you
          save, for all who use it.
        </p>
      )}
      <TextField
        label="How titles are built here"
        hint="Shown to whoever writes one, such as: topic first, then what is done"
        maxLength={120}
        value={settings.titles ?? ''}
        onChange={({ target }) => put({ titles: target.value })}
      />
      <CueSettings settings={settings} put={put} />
      <KindsOfWorkField kinds={settings.kindsOfWork} change={(kindsOfWork) => put({ kindsOfWork })} />
      {unsaved.changed && (
        <TextField
          label="Reason for the change"
          value={reason}
          maxLength={300}
          onChange={({ target }) => setReason(target.value)}
        />
      )}
      {unsaved.overtaken && <Overtaken {...unsaved} />}
      {save.error && <Notice tone="warning" title={inWords(save.error)} />}
      {unsaved.changed && (
        <Button
          type="submit"
          look="main"
          className="justify-self-start"
          disabled={save.isPending || unsaved.overtaken}
        >
          Save
        </Button>
      )}
    </form>
  );
}
