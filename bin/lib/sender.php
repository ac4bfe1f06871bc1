<?php

declare(strict_types=1);

/**
 * What a device of the room does: it is paired once, asks whether it measures, sends what it measures every half second, and keeps what
 * it cannot send in a folder until it can, for days if it must.
 */
final class Sender
{
    private const EVERY_S = 0.5;

    /** Batches of what has waited that go before the new one, so that it catches up. */
    private const CATCH_UP = 5;

    private const MOST_LINES = 4000;

    private string $token = '';

    /** @param  list<array<string, mixed>>  $lines  in order, from the beginning of a recording on */
    public function __construct(private readonly string $to, private readonly string $folder, private readonly array $lines)
    {
        is_dir($folder) || mkdir($folder, 0700, true);
        $this->token = trim((string) @file_get_contents("$folder/token"));
    }

    public function pair(string $code): void
    {
        [$status, $answer] = $this->ask('POST', '/pair', json_encode(['code' => $code], JSON_THROW_ON_ERROR));
        $status === 201 || refuse((string) ($answer['message'] ?? "no answer from {$this->to}"));
        $this->token = (string) $answer['token'];
        file_put_contents("{$this->folder}/token", $this->token);
        echo "Paired as “{$answer['name']}”.\n";
    }

    /**
     * Measures whenever it is asked to.
     *
     * @param  int  $recordings  after how many it ends; 0 for never
     */
    public function run(int $recordings): void
    {
        $this->token !== '' || refuse('it is not paired: give it --code');
        for ($done = 0; $recordings === 0 || $done < $recordings;) {
            [$status, $answer] = $this->ask('GET', '/recording');
            $status !== 401 || refuse((string) ($answer['message'] ?? 'it is not known there any more'));
            if (is_array($answer['recording'] ?? null)) {
                $this->measure((string) $answer['recording']['uuid'], microtime(true) - $answer['recording']['began_ms_ago'] / 1000);
                $done++;
            }
            $this->sendWaiting(PHP_INT_MAX);
            usleep(700_000);
        }
        while ($this->waiting() !== []) {
            $this->sendWaiting(PHP_INT_MAX);
            usleep(700_000);
        }
    }

    /** Until it is told that it is over; without a network until the trace is at its end. */
    private function measure(string $uuid, float $began): void
    {
        echo "Measuring for $uuid.\n";
        $number = $at = 0;
        $some = [];
        for ($asked = $began; $at < count($this->lines);) {
            $now = microtime(true);
            while (isset($this->lines[$at]) && $this->lines[$at]['t'] <= $now - $began && count($some) < self::MOST_LINES) {
                $some[] = json_encode($this->lines[$at++], JSON_THROW_ON_ERROR)."\n";
            }
            if ($some !== []) {
                // On disk first: what is measured is not lost when this ends.
                file_put_contents(sprintf('%s/%s.%05d', $this->folder, $uuid, ++$number), implode('', $some));
                $some = [];
            }
            $this->sendWaiting(self::CATCH_UP);
            if ($now - $asked > 1) {
                $asked = $now;
                [$status, $answer] = $this->ask('GET', '/recording');
                if ($status === 200 && ($answer['recording']['uuid'] ?? null) !== $uuid) {
                    break;
                }
            }
            usleep((int) (1e6 * max(0.05, self::EVERY_S - (microtime(true) - $now))));
        }
        file_put_contents("{$this->folder}/$uuid.done", (string) $number);
    }

    /** @return list<string> files, oldest first; of a recording its end comes last */
    private function waiting(): array
    {
        $files = [...(glob("{$this->folder}/*.?????") ?: []), ...(glob("{$this->folder}/*.done") ?: [])];

        return array_values(array_unique($files));
    }

    private function sendWaiting(int $most): void
    {
        foreach (array_slice($this->waiting(), 0, $most) as $file) {
            [$uuid, $what] = explode('.', basename($file));
            $body = (string) file_get_contents($file);
            [$status, $answer] = $what === 'done'
                ? $this->ask('POST', "/recordings/$uuid/done", json_encode(['parts' => (int) $body], JSON_THROW_ON_ERROR))
                : $this->ask('PUT', "/recordings/$uuid/parts/".(int) $what, $body);
            // No network, or not now: it waits.
            if ($status === 0 || $status === 429 || $status >= 500) {
                return;
            }
            if ($status >= 400) {
                echo 'Not taken: '.($answer['message'] ?? $status)."\n";
            }
            unlink($file);
        }
    }

    /** @return array{int, array<mixed>} status, 0 without a network, and what was answered */
    private function ask(string $method, string $path, ?string $body = null): array
    {
        $handle = curl_init("{$this->to}/api/v1/sensor$path");
        $isPart = str_contains($path, '/parts/');
        curl_setopt_array($handle, [
            CURLOPT_CUSTOMREQUEST => $method, CURLOPT_RETURNTRANSFER => true, CURLOPT_TIMEOUT => 10, CURLOPT_CONNECTTIMEOUT => 3,
            CURLOPT_HTTPHEADER => [
                'Accept: application/json', 'Content-Type: '.($isPart ? 'application/x-ndjson' : 'application/json'),
                ...($this->token === '' ? [] : ["Authorization: Bearer {$this->token}"]),
            ],
        ] + ($body === null ? [] : [CURLOPT_POSTFIELDS => $body]));
        $answer = curl_exec($handle);
        $status = curl_getinfo($handle, CURLINFO_RESPONSE_CODE);
        $read = json_decode(is_string($answer) ? $answer : '', true);

        return [$status, is_array($read) ? $read : []];
    }
}
