import { useId, useState, type ReactNode } from 'react'

/**
 * A name above whatever is filled in. The label stands beside its field, not around it: a choice's options are no part of its
 * name.
 */
export function Labelled({
  name,
  wide,
  children,
}: {
  name: string
  wide?: boolean
  /** the field, which bears the id */
  children: (id: string) => ReactNode
}) {
  const id = useId()
  return (
    <div className={wide ? 'sm:col-span-2' : ''}>
      <label htmlFor={id} className="block text-sm text-ink-2">
        {name}
      </label>
      {children(id)}
    </div>
  )
}

type Common = { name: string; wide?: boolean; required?: boolean }

export function TextField({
  name,
  wide,
  required,
  type = 'text',
  value,
  onChange,
  ...range
}: Common & {
  type?: 'text' | 'date' | 'time'
  max?: string
  maxLength?: number
  value: string
  onChange: (next: string) => void
}) {
  return (
    <Labelled name={name} wide={wide ?? false}>
      {(id) => (
        <input
          id={id}
          className="field"
          type={type}
          required={required}
          {...range}
          value={value}
          onChange={(event) => onChange(event.target.value)}
        />
      )}
    </Labelled>
  )
}

/** Left empty it is nothing, not zero. While somebody types it shows what they type, whatever is made of it. */
export function NumberField({
  name,
  required,
  value,
  onChange,
  ...range
}: Common & {
  value: number | undefined
  min?: number
  max?: number
  step?: number
  placeholder?: string
  onChange: (next: number | undefined) => void
}) {
  const [typed, setTyped] = useState<string>()
  return (
    <Labelled name={name}>
      {(id) => (
        <input
          id={id}
          className="field"
          type="number"
          required={required}
          {...range}
          value={typed ?? value ?? ''}
          onChange={(event) => {
            setTyped(event.target.value)
            onChange(event.target.value === '' ? undefined : Number(event.target.value))
          }}
          onBlur={() => setTyped(undefined)}
        />
      )}
    </Labelled>
  )
}

export function ChoiceField<C extends string | number>({
  name,
  required,
  value,
  choices,
  say,
  onChange,
}: Common & {
  value: C
  choices: readonly C[]
  say: (choice: C) => string
  onChange: (next: C) => void
}) {
  return (
    <Labelled name={name}>
      {(id) => (
        <select
          id={id}
          className="field"
          required={required}
          value={value}
          onChange={(event) => {
            const next = choices.find((one) => String(one) === event.target.value)
            if (next !== undefined) onChange(next)
          }}
        >
          {choices.map((one) => (
            <option key={one} value={one}>
              {say(one)}
            </option>
          ))}
        </select>
      )}
    </Labelled>
  )
}

/** Something that is so or not. */
export function TickField({
  name,
  value,
  onChange,
}: {
  name: string
  value: boolean
  onChange: (next: boolean) => void
}) {
  return (
    <label className="flex min-h-11 items-center gap-3 self-end">
      <input
        type="checkbox"
        className="size-5"
        checked={value}
        onChange={(event) => onChange(event.target.checked)}
      />
      {name}
    </label>
  )
}

/** Any number of these. */
export function TicksField<C extends string>({
  name,
  value,
  choices,
  say,
  onChange,
}: {
  name: string
  value: readonly C[]
  choices: readonly C[]
  say: (choice: C) => string
  onChange: (next: C[]) => void
}) {
  return (
    <fieldset className="mt-3 sm:col-span-3">
      <legend className="text-sm text-ink-2">{name}</legend>
      <div className="flex flex-wrap gap-x-6">
        {choices.map((one) => (
          <TickField
            key={one}
            name={say(one)}
            value={value.includes(one)}
            onChange={(on) =>
              onChange(on ? [...value, one] : value.filter((other) => other !== one))
            }
          />
        ))}
      </div>
    </fieldset>
  )
}
