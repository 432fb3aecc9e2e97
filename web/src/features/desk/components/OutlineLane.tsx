import { Tab, TabGroup, TabList, TabPanel, TabPanels } from '@headlessui/react'
import { LayerCard } from './LayerCard'
import { useStructure } from '../model/structure-store'
import { GlossaryTab } from './GlossaryTab'
import { MeaningTab } from './MeaningTab'
import { Outline } from './Outline'
import { PartsTab } from './PartsTab'
import { StructureTab, useStructureReport } from './StructureTab'
import { TokensTab } from './TokensTab'
import { useWidths } from '../model/widths-store'
import { WidthTab, useWidthReport } from './WidthTab'

const TAB =
  'h-8 px-[3px] text-xs text-soft border-b-2 border-transparent hover:text-ink data-selected:border-ink data-selected:font-semibold data-selected:text-ink'

/** The design as layers, by what is wrong with them, and as tokens, and what can be read off the selected layer. */
export const OutlineLane = () => {
  useStructureReport()
  useWidthReport()
  const breaks = useWidths((s) => s.faults?.breaks.length ?? 0)
  const count = useStructure((s) => s.report?.findings.length ?? 0)
  return (
    <div className="flex h-full min-h-0 flex-col">
      <TabGroup className="flex min-h-0 flex-1 flex-col">
        <TabList className="flex shrink-0 overflow-x-auto border-b border-rule px-1">
          <Tab className={TAB}>Layers</Tab>
          <Tab className={TAB}>
            Structure{count > 0 && <span className="ml-1 text-xs text-soft">{count}</span>}
          </Tab>
          <Tab className={TAB}>
            Width{breaks > 0 && <span className="ml-1 text-xs text-problem">{breaks}</span>}
          </Tab>
          <Tab className={TAB}>Meaning</Tab>
          <Tab className={TAB}>Parts</Tab>
          <Tab className={TAB}>Glossary</Tab>
          <Tab className={TAB}>Tokens</Tab>
        </TabList>
        <TabPanels className="min-h-0 flex-1">
          <TabPanel tabIndex={-1} className="flex h-full min-h-0 flex-col">
            <Outline />
            <LayerCard />
          </TabPanel>
          <TabPanel tabIndex={-1} className="flex h-full min-h-0 flex-col">
            <StructureTab />
          </TabPanel>
          <TabPanel tabIndex={-1} className="flex h-full min-h-0 flex-col">
            <WidthTab />
          </TabPanel>
          <TabPanel tabIndex={-1} className="flex h-full min-h-0 flex-col">
            <MeaningTab />
          </TabPanel>
          <TabPanel tabIndex={-1} className="flex h-full min-h-0 flex-col">
            <PartsTab />
          </TabPanel>
          <TabPanel tabIndex={-1} className="flex h-full min-h-0 flex-col">
            <GlossaryTab />
          </TabPanel>
          <TabPanel tabIndex={-1} className="flex h-full min-h-0 flex-col">
            <TokensTab />
          </TabPanel>
        </TabPanels>
      </TabGroup>
    </div>
  )
}
