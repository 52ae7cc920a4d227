import { useQueryClient } from '@tanstack/react-query'
import { useState, type FormEvent } from 'react'
import { useTranslation } from 'react-i18next'
import { answered, api, Refused, Unreachable } from '../api/client'
import { changePerson } from './queries'

export function SignIn() {
  const { t } = useTranslation()
  const client = useQueryClient()
  const [problem, setProblem] = useState('')
  const [busy, setBusy] = useState(false)

  async function submit(event: FormEvent<HTMLFormElement>) {
    event.preventDefault()
    const form = new FormData(event.currentTarget)
    setBusy(true)
    setProblem('')
    try {
      const email = String(form.get('email'))
      const password = String(form.get('password'))
      // The first answer carries the token that the next request must show.
      await fetch('/api/v1/session')
      const session = await answered(api.POST('/api/v1/session', { body: { email, password } }))
      changePerson(client, session)
    } catch (thrown) {
      setProblem(
        (thrown instanceof Refused && thrown.message) ||
          (thrown instanceof Unreachable && thrown.said) ||
          t('connection.unreachable'),
      )
    } finally {
      setBusy(false)
    }
  }

  return (
    <main className="mx-auto max-w-sm px-5 pt-20">
      <h1 className="text-4xl text-crown">{t('brand')}</h1>
      <p className="mt-2 font-read text-lg text-ink-2">{t('signIn.lead')}</p>
      <form onSubmit={submit} className="mt-8 space-y-4">
        <label className="block">
          <span className="mb-1 block font-semibold">{t('signIn.email')}</span>
          <input className="field" name="email" type="email" autoComplete="username" required />
        </label>
        <label className="block">
          <span className="mb-1 block font-semibold">{t('signIn.password')}</span>
          <input
            className="field"
            name="password"
            type="password"
            autoComplete="current-password"
            required
          />
        </label>
        {problem && (
          <p role="alert" className="font-semibold text-crown">
            {problem}
          </p>
        )}
        <button className="act act-main w-full text-lg" disabled={busy}>
          {t('signIn.act')}
        </button>
      </form>
    </main>
  )
}
