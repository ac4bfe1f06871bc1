<?php

declare(strict_types=1);

namespace Database\Seeders\Demo;

use App\Models\Clinic;
use App\Models\Practitioner;
use App\Models\Role;
use Illuminate\Database\Seeder;

/** Two invented clinics. Everything is made up; dates are relative to the day of seeding, chance has a fixed seed. */
final class DemoSeeder extends Seeder
{
    public const PASSWORD = 'lantern-over-quay';

    /** @param  string  $zone  where the quay lies */
    public function run(string $zone = 'Europe/Lisbon'): void
    {
        $quay = $this->clinic('Harrow Quay Breathing Clinic', $zone);
        $nora = $this->practitioner($quay, 'Nora Ashgrove', 'respiratory physiotherapist', 'nora@harrowquay.example', Role::Lead);
        $idris = $this->practitioner($quay, 'Idris Penwarden', 'counsellor', 'idris@harrowquay.example');
        $tamsin = $this->practitioner($quay, 'Tamsin Orrick', 'breathing therapist', 'tamsin@harrowquay.example');
        (new HarrowQuay($nora, $idris, $tamsin))->seed();
        (new StepsOfTheQuay($nora, $idris, $tamsin))->seed();
        (new YearsOfTheQuay($nora, $tamsin))->seed();
        WeekOfTheQuay::seed($nora, $idris, $tamsin);
        LettersOfTheQuay::seed($nora);
        OwnWorkOfTheQuay::seed($nora);
        PeopleOfTheQuay::seed($nora);
        FeltAtTheQuay::seed();
        MeasuredAtTheQuay::seed();

        $millrace = $this->clinic('Millrace Physio Rooms', 'Europe/Dublin');
        $this->practitioner($millrace, 'Gwen Sallow', 'physiotherapist', 'gwen@millrace.example', Role::Lead);
        (new Millrace(Practitioner::query()->where('clinic_id', $millrace->id)->sole()))->seed();
    }

    private function clinic(string $name, string $zone): Clinic
    {
        return Clinic::query()->create([
            'name' => $name,
            'time_zone' => $zone,
            'emergency_wording' => 'Call 112 now, or have someone call. Sit or lie where you cannot fall. Do not drive yourself. '
                    ."Afterwards, let {$name} know.",
            'telephone' => '0200 555 010',
            'crisis_number' => '808 200 204, the harbour listening line, day and night',
        ]);
    }

    private function practitioner(
        Clinic $clinic,
        string $name,
        string $profession,
        string $email,
        Role $role = Role::Practitioner,
    ): Practitioner {
        return Practitioner::query()->create([
            'clinic_id' => $clinic->id, 'name' => $name, 'profession' => $profession, 'email' => $email, 'role' => $role,
            'password' => self::PASSWORD,
        ]);
    }
}
