<?php

declare(strict_types=1);

namespace Tests\Feature\Project;

use App\Models\Practitioner;
use App\Models\Row;
use FilesystemIterator;
use Illuminate\Database\Eloquent\Attributes\Boot;
use Illuminate\Database\Eloquent\Attributes\Initialize;
use Illuminate\Database\Eloquent\Model;
use ReflectionClass;
use ReflectionMethod;
use SplFileInfo;
use Tests\TestCase;

/** Models boot without looking at every method: nothing may be missed by that. */
final class ModelsTest extends TestCase
{
    public function test_what_a_models_traits_bring_is_found_by_its_name(): void
    {
        $models = $this->models();
        self::assertGreaterThan(30, count($models));
        foreach ($models as $class) {
            foreach ($class->getMethods() as $method) {
                self::assertSame([], $method->getAttributes(Boot::class), "{$class->name}::{$method->name} boots by an attribute, which Row does not look for.");
                self::assertSame([], $method->getAttributes(Initialize::class), "{$class->name}::{$method->name} initializes by an attribute, which Row does not look for.");
            }
            self::assertSame($this->laravels($class->name), $this->ours($class->name), $class->name);
        }
    }

    public function test_every_model_but_the_one_that_signs_in_is_a_row(): void
    {
        foreach ($this->models() as $class) {
            self::assertTrue($class->isSubclassOf(Row::class) || $class->name === Practitioner::class, $class->name);
        }
    }

    /** @return list<ReflectionClass<Model>> */
    private function models(): array
    {
        $found = [];
        foreach (new FilesystemIterator(app_path('Models')) as $file) {
            self::assertInstanceOf(SplFileInfo::class, $file);
            $name = 'App\\Models\\'.$file->getBasename('.php');
            if (is_subclass_of($name, Model::class) && ! (new ReflectionClass($name))->isAbstract()) {
                $found[] = new ReflectionClass($name);
            }
        }

        return $found;
    }

    /**
     * @param  class-string<Model>  $class
     * @return list<string> what is called on each new model
     */
    private function ours(string $class): array
    {
        new $class;

        return $this->initializers($class);
    }

    /**
     * @param  class-string<Model>  $class
     * @return list<string> as the framework finds it
     */
    private function laravels(string $class): array
    {
        $uses = array_map(fn (string $trait) => 'initialize'.class_basename($trait), class_uses_recursive($class));
        $found = array_filter((new ReflectionClass($class))->getMethods(), fn (ReflectionMethod $method) => in_array($method->getName(), $uses, true));

        $names = array_values(array_map(fn (ReflectionMethod $method) => $method->getName(), $found));
        sort($names);

        return $names;
    }

    /**
     * @param  class-string<Model>  $class
     * @return list<string>
     */
    private function initializers(string $class): array
    {
        /** @var array<class-string, list<string>> $all */
        $all = (new ReflectionClass(Model::class))->getStaticPropertyValue('traitInitializers');
        $names = array_values($all[$class]);
        sort($names);

        return $names;
    }
}
