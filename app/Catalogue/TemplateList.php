<?php

declare(strict_types=1);

namespace App\Catalogue;

use App\Models\Clinic;
use App\Models\OwnTemplate;
use App\Models\OwnWork;
use IvoryPace\Programme\Template;

/** Programmes to start from: the clinic's own, and the shipped ones. */
final class TemplateList
{
    /** @return list<array{id: string|null, name: string, school: mixed, items: mixed}> */
    public static function of(Clinic $clinic): array
    {
        $own = OwnTemplate::query()->where('clinic_id', $clinic->id)->orderBy('name')->limit(OwnWork::MOST)->get()
            ->map(
                fn (OwnTemplate $template) => [
                    'id' => $template->id, 'name' => $template->name, 'school' => $template->fields['school'] ?? null,
                    'items' => $template->fields['items'] ?? [],
                ],
            );
        $shipped = FromCatalogue::remember('templates', fn () => array_map(fn (Template $template) => [
            'id' => null, 'name' => $template->name, 'school' => $template->school->value, 'items' => $template->items,
        ], Template::shipped()));

        return [...array_values($own->all()), ...$shipped];
    }
}
