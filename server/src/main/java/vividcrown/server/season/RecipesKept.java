package vividcrown.server.season;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import vividcrown.core.season.recipe.RecipeShelf;

/** One shelf for all who plan: the same season is asked again and again, and a second time it has its recipes. */
@Configuration(proxyBeanMethods = false)
class RecipesKept {

    @Bean
    RecipeShelf recipeShelf() {
        return new RecipeShelf();
    }
}
