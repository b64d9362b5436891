-- Readings and what is noted of a trial can be slips.
alter table taken_back
  modify kind enum('lot','stock-move','container-move','pour','visit','bin-entry','tool-event','look','water','plan-drop','filling-drop',
    'planting','stage','water-read','water-level','lab','job','schedule','land-mark','harvest-rule','learning-reset','patch-look','store-check','keeping',
    'own-recipe','bed-shape','reading','trial-entry') not null;
