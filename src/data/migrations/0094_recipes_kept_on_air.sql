update recipe_version set document = replace(document, '"held-on-air"', '"kept-on-air"') where document like '%"held-on-air"%';
