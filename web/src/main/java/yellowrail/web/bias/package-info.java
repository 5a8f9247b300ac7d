/**
 * The bias bench: {@link yellowrail.web.bias.BiasController} draws an amp's bias supply, answers while a part of it is
 * dragged, tells what fails, proposes values, and keeps the supply with the amp.
 */
package yellowrail.web.bias;
