<?php

declare(strict_types=1);

namespace App\Facts;

use App\Models\CareSession;
use App\Models\Patient;
use App\Models\Pause;
use App\Models\ProgrammeItem;
use IvoryPace\Exercise\Ladder\Reach;
use IvoryPace\Practice\Share;
use IvoryPace\Programme\Item;
use IvoryPace\Progress\Proposal\Decided;
use IvoryPace\Progress\Proposal\Decision;
use IvoryPace\Safety\PatientFacts;

/** What was decided for each exercise in a session that goes on, with what is needed to do it. */
final readonly class DecidedInSession
{
    /**
     * @param  array<string, array{Decision, string}>  $decisions  with the reason, by lineage
     * @param  array<string, array<string, Share>>  $kept  by lineage and anchor
     * @param  array<string, bool>  $paused  whether it holds still now, by lineage
     */
    private function __construct(
        private Patient $patient,
        public array $decisions,
        private Reach $reach,
        private PatientFacts $facts,
        private array $kept,
        private array $paused,
    ) {
    }

    /** Null where no programme is running, or a version was issued since the session began: then it is done. */
    public static function of(Patient $patient, CareSession $session): ?self
    {
        $latest = $patient->loadMissing('activeProgramme.versions.items', 'latestScreening.answers')->activeProgramme?->latestVersion();
        if ($latest === null || $session->closed_at !== null || $latest->issued_at >= $session->begun_at) {
            return null;
        }
        $decisions = [];
        foreach ((array) ($session->kept('decide')['decisions'] ?? []) as $lineage => $typed) {
            $typed = (array) $typed;
            $decision = is_string($typed['decision'] ?? null) ? Decision::tryFrom($typed['decision']) : null;
            if ($decision !== null && $latest->items->firstWhere('lineage', $lineage) !== null) {
                $reason = is_string($typed['reason'] ?? null) ? trim($typed['reason']) : '';
                $decisions[(string) $lineage] = [$decision === Decision::GoOn ? Decision::Stay : $decision, $reason];
            }
        }
        $file = OnFile::patient($patient, now()->toImmutable());
        $evidence = EvidenceOf::on($file);
        $kept = [];
        $paused = [];
        foreach ($latest->items as $row) {
            $paused[$row->lineage] = $file->pauses->whereNull('until_at')
                ->contains(fn (Pause $pause) => $pause->concerns($row->lineage, $row->likeness()));
            $kept[$row->lineage] = $evidence === null ? []
                : $evidence->adherence->byAnchor($evidence->windowOf($row), $file->today, $row->lineage);
        }

        return new self($patient, $decisions, ReachOf::on($file)->reach, PatientFactsOf::patient($patient, now()), $kept, $paused);
    }

    /** @return list<ProgrammeItem> of the version in force */
    public function rows(): array
    {
        return array_values($this->patient->activeProgramme?->latestVersion()?->items->all() ?? []);
    }

    public function made(ProgrammeItem $row, Decision $decision): Decided
    {
        return Decided::of(
            $decision, $row->item(), $this->reach, StepOf::earlier($row, $this->patient), $this->facts, $this->kept[$row->lineage] ?? [],
        );
    }

    /** A pause holds by itself, and only when somebody has paused it. */
    public function isPaused(ProgrammeItem $row): bool
    {
        return $this->paused[$row->lineage] ?? false;
    }

    /**
     * Decisions that a draft does not do, in words.
     *
     * @param  list<Item>  $draft
     * @return list<string>
     */
    public function against(array $draft): array
    {
        $lines = [];
        foreach ($this->rows() as $row) {
            [$decision] = $this->decisions[$row->lineage] ?? [null];
            $now = array_values(array_filter($draft, fn (Item $item) => $item->lineage === $row->lineage))[0] ?? null;
            if ($decision === Decision::Pause && ! $this->isPaused($row)) {
                $lines[] = "{$row->item()->name()}: “pause” was decided, and it is not paused. “Pause it now” stands under Decide.";
            } elseif (
                $decision !== null
                    && ! Decided::isWhat($decision, $row->item(), $now, StepOf::earlier($row, $this->patient), $this->facts)
            ) {
                $lines[] = "{$row->item()->name()}: “{$decision->label()}” was decided, and this does not do it.";
            }
        }

        return $lines;
    }
}
