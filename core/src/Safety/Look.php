<?php

declare(strict_types=1);

namespace IvoryPace\Safety;

use IvoryPace\Exercise\Prescription;
use IvoryPace\Programme\Item;

/** What a rule looks at: one exercise of a programme, as the patient would breathe it, and what is known of the patient. */
final readonly class Look
{
    public Prescription $prescription;

    public Features $of;

    /** @param  list<Item>  $others  the other exercises of the programme */
    public function __construct(public Item $item, public PatientFacts $patient, public array $others = [])
    {
        $this->prescription = $item->prescription;
        $this->of = Features::of($item->prescription);
    }
}
