import type { ReactNode } from 'react'

/** A name above whatever is filled in. */
export function Labelled({
  name,
  wide,
  children,
}: {
  name: string
  wide?: boolean
  children: ReactNode
}) {
  return (
    <label className={wide ? 'sm:col-span-2' : ''}>
      <span className="block text-sm text-ink-2">{name}</span>
      {children}
    </label>
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
}: Common & { type?: 'text' | 'date'; value: string; onChange: (next: string) => void }) {
  return (
    <Labelled name={name} wide={wide ?? false}>
      <input
        className="field"
        type={type}
        required={required}
        value={value}
        onChange={(event) => onChange(event.target.value)}
      />
    </Labelled>
  )
}

/** Left empty it is nothing, not zero. */
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
  return (
    <Labelled name={name}>
      <input
        className="field"
        type="number"
        required={required}
        {...range}
        value={value ?? ''}
        onChange={(event) =>
          onChange(event.target.value === '' ? undefined : Number(event.target.value))
        }
      />
    </Labelled>
  )
}

export function ChoiceField<C extends string | number>({
  name,
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
      <select
        className="field"
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
    </Labelled>
  )
}
