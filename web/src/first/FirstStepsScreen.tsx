import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import { Link } from 'react-router'
import { BuilderForm } from '../builders/BuilderForm'
import { QueenForm } from '../queens/QueenForm'
import { useSession } from '../session/queries'
import { Page } from '../ui/Page'
import { HiveRows } from '../yards/HiveRows'
import { YardForm } from '../yards/YardForm'
import { nextStep, STEPS, useFirstSteps, type StepName } from './steps'

/** The way from an empty book to the first graft; each step can be left out and come back to. */
export default function FirstStepsScreen() {
  const { t } = useTranslation()
  const { operation } = useSession()
  const done = useFirstSteps()
  const [opened, setOpened] = useState<StepName | 'none'>()
  if (!done) return <p role="status">{t('connection.loading')}</p>
  const next = nextStep(done)
  const open = opened ?? next
  const close = () => setOpened(undefined)
  return (
    <Page title={t('first.title', { operation })} lead={t('first.lead')}>
      <ol className="max-w-4xl border-t-2 border-ink">
        {STEPS.map((step, index) => (
          <li
            key={step}
            className="border-b border-rule py-3"
            data-testid="first-step"
            data-step={step}
            data-done={done[step]}
          >
            <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1">
              <h2 className={`font-read text-2xl ${step === next ? 'text-crown' : ''}`}>
                {index + 1}. {t(`first.${step}.name`)}
              </h2>
              {done[step] && <span className="font-semibold">{t('first.done')}</span>}
              {step === 'graft' ? (
                <Link to="/grafts/plan" className="act ml-auto inline-flex items-center">
                  {t('first.graft.act')}
                </Link>
              ) : (
                <button
                  className="act ml-auto"
                  aria-expanded={open === step}
                  onClick={() => setOpened(open === step ? 'none' : step)}
                >
                  {t(done[step] ? 'first.another' : `first.${step}.act`)}
                </button>
              )}
            </div>
            <p className="text-ink-2">{t(`first.${step}.why`)}</p>
            {open === step && <Form step={step} close={close} />}
          </li>
        ))}
      </ol>
      <p className="mt-4 text-ink-2">
        {t('first.files')}{' '}
        <Link to="/files" className="inline-block min-h-6 underline">
          {t('nav.files')}
        </Link>
      </p>
    </Page>
  )
}

function Form({ step, close }: { step: StepName; close: () => void }) {
  switch (step) {
    case 'yard':
      return <YardForm onDone={close} />
    case 'hives':
      return <HiveRows onDone={close} />
    case 'mother':
      return <QueenForm mother onDone={close} />
    case 'builder':
      return <BuilderForm onDone={close} />
    case 'graft':
      return null
  }
}
