<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Assert;

/** What became of one thing that a device sent. */
final class OutboxAnswer
{
    /** @var array<string, mixed> */
    private readonly array $answer;

    /** @param  TestResponse<\Symfony\Component\HttpFoundation\Response>  $response */
    public function __construct(TestResponse $response)
    {
        $response->assertOk();
        Assert::assertCount(1, $response->json('answers'));
        $this->answer = $response->json('answers.0');
    }

    public function assertStored(): void
    {
        Assert::assertSame('stored', $this->answer['result'], $this->answer['message'] ?? '');
    }

    public function assertIs(string $result): void
    {
        Assert::assertSame($result, $this->answer['result'], $this->answer['message'] ?? '');
    }

    /** @param  string|array<string, string>  $field  or the field with its message */
    public function assertRefused(string|array $field): void
    {
        Assert::assertSame('refused', $this->answer['result']);
        foreach (is_array($field) ? $field : [$field => null] as $name => $message) {
            Assert::assertArrayHasKey($name, $this->answer['errors']);
            if ($message !== null) {
                Assert::assertContains($message, $this->answer['errors'][$name]);
            }
        }
    }
}
